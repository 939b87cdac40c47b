/* See bin/kill-test. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import { Person, dice, given } from './attack.mjs';

const WRITERS = 4;
const { roll, of } = dice(given.seed);
const shell = (script) => execFileSync('bash', ['-c', `. ${given.project}/bin/lib/shed.sh; ${script}`], { stdio: ['ignore', 'pipe', 'inherit'], timeout: 60_000, encoding: 'utf8' });
const sql = (query) => shell(`. ${given.project}/bin/lib/keeping.sh; client mariadb -N shed -e "${query}"`).trim();
const number = (file) => Number(readFileSync(`${given.run}/${file}`, 'utf8'));

const isThere = (pid) => {
    try {
        return process.kill(pid, 0);
    } catch {
        return false;
    }
};

let going = true;
let signedIn = 0;
const acknowledged = new Set();
const begun = new Set();
const before = Number(sql('SELECT COUNT(*) FROM entry'));

const writer = async (name, job) => {
    const person = new Person(given.address, name);
    let last = '';
    const insist = async (act) => {
        for (let tries = 0; tries < 120; tries += 1) {
            try {
                if (await act()) {
                    return;
                }
            } catch (failure) {
                // The line is dead; somebody will have started it again in a moment.
                last = failure.message;
            }
            await sleep(150);
        }
        throw new Error(`it never came back for ${name}: ${last}`);
    };
    const signIn = () => insist(async () => {
        await person.signIn();
        return true;
    });
    await signIn();
    signedIn += 1;
    while (going) {
        const key = crypto.randomUUID();
        begun.add(key);
        await insist(async () => {
            const fields = { test: 'look.oil_colour', outcome: of(['clean', 'dark', 'black']), back: 'history' };
            // Sent again it says the same, or it would be another change under its name.
            person.said ??= fields;
            const answer = await person.ask(`/jobs/${job}/findings`, { method: 'POST', body: new URLSearchParams({ ...person.said, _token: person.token, request_key: key }) });
            const location = answer.headers.get('location') ?? '';
            if (answer.status === 303 && location.includes('/history')) {
                acknowledged.add(key);
                person.said = undefined;
                return true;
            }
            last = `${answer.status} ${location}`;
            if (location.includes('/sign-in') || answer.status === 403) {
                await signIn();
            }
            return false;
        });
    }
};

const jobs = sql('SELECT id FROM job WHERE gone = 0 ORDER BY id LIMIT 4').split('\n');
const writing = Promise.all(Array.from({ length: WRITERS }, (_, at) => writer(['odalys', 'tamsin', 'wim', 'tamsin'][at], jobs[at % jobs.length])));

// However slow the machine: killing begins once all of them write, and no kill follows another before one of them has got
// something through.
const until = async (what, is) => {
    for (let waited = 0; !is(); waited += 20) {
        if (waited > 60_000) {
            throw new Error(`in a minute, ${what}`);
        }
        await sleep(20);
    }
};
await until('not everybody was let in', () => signedIn === WRITERS);

const killed = { database: 0, worker: 0, workers: 0, web: 0 };
for (let kill = 1; kill <= Number(given.kills); kill += 1) {
    const through = acknowledged.size;
    await until('nothing got through', () => acknowledged.size > through);
    await sleep(120 + 500 * roll());
    const what = of(Object.keys(killed));
    try {
        const pid = number({ database: 'db/mariadb.pid', worker: 'php-fpm.pid', workers: 'php-fpm.pid', web: 'nginx.pid' }[what]);
        const victim = what === 'worker' ? Number(of(execFileSync('pgrep', ['-P', String(pid)], { encoding: 'utf8' }).trim().split('\n'))) : pid;
        process.kill(victim, 'SIGKILL');
        killed[what] += 1;
        // A dying process still answers on its port for a moment.
        for (let waited = 0; waited < 100 && isThere(victim); waited += 1) {
            await sleep(20);
        }
    } catch {
        continue; // Not there just now.
    }
    if (what === 'database') {
        shell('start_database');
    } else if (what !== 'worker') {
        shell('start_web');
    }
    if (kill % 20 === 0) {
        process.stdout.write(`  ${kill} kills, ${acknowledged.size} acknowledged\n`);
    }
}
going = false;
await writing;

const keys = new Set(sql(`SELECT request_key FROM used_key`).split('\n'));
const lost = [...acknowledged].filter((key) => !keys.has(key)).length;
const recorded = Number(sql('SELECT COUNT(*) FROM entry')) - before;
const doubled = recorded - begun.size;
process.stdout.write(`  ${JSON.stringify(killed)} killed; ${acknowledged.size} findings acknowledged, ${recorded} recorded, ${lost} lost, ${doubled} doubled\n`);
if (lost !== 0 || doubled !== 0 || recorded !== acknowledged.size) {
    process.exit(1);
}
