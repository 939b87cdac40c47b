/* What both attacks need: dice that fall the same way for the same seed, a person who is signed in, arguments. */

export const given = Object.fromEntries(process.argv.slice(2).map((argument) => argument.replace(/^--/, '').split('=')).map(([name, ...value]) => [name, value.join('=')]));

/** mulberry32: small, seeded, good enough to choose by. */
export const dice = (seed) => {
    let state = Number(seed) >>> 0;
    const roll = () => {
        state = (state + 0x6d2b79f5) >>> 0;
        let mixed = Math.imul(state ^ state >>> 15, 1 | state);
        mixed = mixed + Math.imul(mixed ^ mixed >>> 7, 61 | mixed) ^ mixed;
        return ((mixed ^ mixed >>> 14) >>> 0) / 4294967296;
    };
    return { roll, below: (most) => Math.floor(roll() * most), of: (list) => list[Math.floor(roll() * list.length)] };
};

export const passwords = { odalys: 'barn-keys-on-the-hook', tamsin: 'tray-under-the-filler', wim: 'never-pull-it-yet' };

/** A person at a browser: cookies are kept, redirects are shown. */
export class Person {
    constructor(address, name) {
        Object.assign(this, { address, name, cookies: new Map(), token: '' });
    }

    async ask(path, options = {}) {
        const answer = await fetch(this.address + path, {
            redirect: 'manual',
            signal: AbortSignal.timeout(options.patience ?? 15_000),
            ...options,
            headers: { Cookie: [...this.cookies].map((pair) => pair.join('=')).join('; '), Origin: this.address, ...options.headers },
        });
        for (const cookie of answer.headers.getSetCookie()) {
            const [pair] = cookie.split(';');
            const at = pair.indexOf('=');
            this.cookies.set(pair.slice(0, at), pair.slice(at + 1));
        }
        return answer;
    }

    async signIn() {
        this.cookies.clear();
        const answered = await this.ask('/sign-in');
        const page = await answered.text();
        if (answered.status !== 200) {
            // Tried without its page, it would count as a wrong password, and soon have to wait.
            throw new Error(`no sign-in page: ${answered.status}`);
        }
        const csrf = /name="_csrf_token" value="([^"]*)"/.exec(page)?.[1] ?? '';
        const answer = await this.ask('/sign-in', { method: 'POST', body: new URLSearchParams({ name: this.name, password: passwords[this.name], _csrf_token: csrf }) });
        if (answer.status !== 302 && answer.status !== 303) {
            throw new Error(`${this.name} could not sign in: ${answer.status}`);
        }
        this.token = /data-token="([^"]*)"/.exec(await (await this.ask('/keys')).text())?.[1] ?? '';
    }
}
