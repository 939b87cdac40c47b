/* What holds on one node must hold on three: see bin/test cluster. Every part ends by itself, and says what it saw. */
import { execFile, execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import { promisify } from 'node:util';
import { Person, dice, given } from '../attack/attack.mjs';

const posts = Number(given.posts ?? 500);
const base = Number(given.port);
const { of, roll } = dice(given.seed ?? 1);
const proxy = `http://127.0.0.1:${base}`;
const server = (node) => `http://127.0.0.1:${base + 10 * node}`;
const words = (script) => ['-c', `set -e; . ${given.project}/bin/lib/shed.sh; . ${given.project}/bin/lib/cluster.sh; ${script}`];
const sql = (node, query) => execFileSync('bash', words(`of_node ${node} "${query}"`), { stdio: ['ignore', 'pipe', 'inherit'], encoding: 'utf8' }).trim();
// Beside those who read and write here.
const run = promisify(execFile);
const say = (text) => process.stdout.write(`  ${text}\n`);
let wrong = 0;
const holds = (what, is, seen) => {
    say(`${is ? 'holds' : 'DOES NOT HOLD'}: ${what}${seen === undefined ? '' : ` (${seen})`}`);
    wrong += is ? 0 : 1;
};
const finding = (person, job, key, outcome = 'dark') => person.ask(`/jobs/${job}/findings`, { method: 'POST', body: new URLSearchParams({ test: 'look.oil_colour', outcome, back: 'history', _token: person.token, request_key: key }) });
const isRecorded = (answer) => answer.status === 303 && (answer.headers.get('location') ?? '').includes('/history');
const entries = () => Number(sql(1, 'SELECT COUNT(*) FROM entry'));
const [job, second] = sql(1, 'SELECT id FROM job WHERE gone = 0 ORDER BY id LIMIT 2').split('\n').map(Number);

const people = {};
for (const [name, address] of Object.entries({ one: server(1), two: server(2) })) {
    people[name] = new Person(address, 'tamsin');
    await people[name].signIn();
}

/* A session begun at one web server is one at the other. */
{
    const wanderer = new Person(server(2), 'tamsin');
    wanderer.cookies = people.one.cookies;
    const page = await wanderer.ask(`/jobs/${job}`);
    holds('who signed in at one web server is signed in at the other', page.status === 200, page.status);
}

/* One key at both nodes at the same moment: one finding. */
{
    const before = entries();
    let answered = 0;
    const rounds = 12;
    for (let round = 0; round < rounds; round += 1) {
        const key = crypto.randomUUID();
        const answers = await Promise.all([finding(people.one, job, key), finding(people.two, job, key)]);
        answered += answers.filter(isRecorded).length;
    }
    const recorded = entries() - before;
    holds('one request key at two nodes at once is one finding, and both are told so', recorded === rounds && answered === 2 * rounds, `${rounds} keys, ${answered} answers, ${recorded} recorded`);
}

/* A write at another node between a request's own and its commit: the request loses, and is done again. */
{
    const before = entries();
    const turns = Number(sql(1, `SELECT taken FROM turn WHERE name = 'job ${second}'`) || 0);
    const aborted = () => Number(sql(1, "SELECT VARIABLE_VALUE FROM information_schema.GLOBAL_STATUS WHERE VARIABLE_NAME = 'WSREP_LOCAL_BF_ABORTS'")) + Number(sql(1, "SELECT VARIABLE_VALUE FROM information_schema.GLOBAL_STATUS WHERE VARIABLE_NAME = 'WSREP_LOCAL_CERT_FAILURES'"));
    const lost = aborted();
    // Only the first handling finds the pause: what it waits for takes it away.
    sql(1, `INSERT INTO turn (name, taken) VALUES ('a pause', 1) ON DUPLICATE KEY UPDATE taken = 1; CREATE TRIGGER a_pause BEFORE INSERT ON entry FOR EACH ROW SET @waited = IF((SELECT taken FROM turn WHERE name = 'a pause') = 1, SLEEP(1.5), 0)`);
    const posted = finding(people.one, second, crypto.randomUUID());
    await sleep(500);
    sql(2, `UPDATE turn SET taken = 0 WHERE name = 'a pause'; INSERT INTO turn (name, taken) VALUES ('job ${second}', 1) ON DUPLICATE KEY UPDATE taken = taken + 1`);
    const answer = await posted;
    sql(1, "DROP TRIGGER a_pause; DELETE FROM turn WHERE name = 'a pause'");
    holds('a finding that loses against another node is recorded once', isRecorded(answer) && entries() === before + 1, `${answer.status}, ${entries() - before} recorded, ${aborted() - lost} lost on the way`);
    holds('and it did lose', aborted() > lost && Number(sql(1, `SELECT taken FROM turn WHERE name = 'job ${second}'`)) === turns + 2, aborted() - lost);
}

/* Whoever acts is told when it was done; whoever reads waits for nobody long. */
const acting = (writers = 4) => {
    const seen = { acknowledged: new Set(), begun: new Set(), refused: 0, going: true, longest: 0, reads: 0, unread: 0, bare: 0 };
    const jobs = sql(1, 'SELECT id FROM job WHERE gone = 0 ORDER BY id LIMIT 6').split('\n');
    const write = async (at) => {
        const person = new Person(proxy, ['odalys', 'tamsin', 'wim', 'tamsin'][at % 4]);
        const again = async (act) => {
            for (let tries = 0; tries < 200; tries += 1) {
                try {
                    if (await act()) {
                        return;
                    }
                } catch {
                    // Cut off in the middle: nothing was acknowledged, and the same is sent again.
                }
                seen.refused += 1;
                await sleep(100);
            }
            throw new Error('it never came back');
        };
        await again(async () => {
            await person.signIn();
            return true;
        });
        while (seen.going && seen.begun.size < posts) {
            const key = crypto.randomUUID();
            const outcome = of(['clean', 'dark', 'black']);
            seen.begun.add(key);
            // As fast as a busy barn, not as the processors: two of them are three databases and two web servers here.
            await sleep(150);
            await again(async () => {
                const answer = await finding(person, jobs[at % jobs.length], key, outcome);
                if (isRecorded(answer)) {
                    seen.acknowledged.add(key);
                    return true;
                }
                if ((answer.headers.get('location') ?? '').includes('/sign-in')) {
                    await person.signIn();
                }
                return false;
            });
        }
    };
    const read = async () => {
        const person = new Person(proxy, 'wim');
        await person.signIn();
        while (seen.going) {
            const from = performance.now();
            // A reader presses again what did not come.
            for (let answered = false; !answered && seen.going;) {
                answered = await person.ask(`/jobs/${job}`, { patience: 6000 }).then(async (page) => {
                    // Every failure is said on a page of ours.
                    seen.bare += page.status !== 200 && !(await page.text()).includes('Awake Shed') ? 1 : 0;
                    return page.status === 200;
                }, () => false);
                seen.unread += answered ? 0 : 1;
                await sleep(answered ? 0 : 50);
            }
            seen.longest = Math.max(seen.longest, performance.now() - from);
            seen.reads += 1;
            await sleep(100);
        }
    };
    return { seen, writing: Promise.all(Array.from({ length: writers }, (_, at) => write(at))), reading: Promise.all([read(), read()]) };
};
const reached = async (seen, share) => {
    while (seen.acknowledged.size < posts * share) {
        await sleep(20);
    }
};
const settled = async ({ seen, writing, reading }, before, what) => {
    await writing;
    seen.going = false;
    await reading;
    const keys = new Set(sql(2, 'SELECT request_key FROM used_key').split('\n'));
    const lost = [...seen.acknowledged].filter((key) => !keys.has(key)).length;
    const recorded = entries() - before;
    holds(`${what}: nothing that was acknowledged is lost, nothing is there twice`, lost === 0 && recorded === seen.acknowledged.size && seen.acknowledged.size >= posts, `${seen.acknowledged.size} acknowledged, ${recorded} recorded, ${lost} lost, ${seen.refused} sent again`);
    holds(`${what}: whatever could not be answered was said in words of ours`, seen.bare === 0, `${seen.bare} bare failures`);
    holds(`${what}: no reader waits over five seconds`, seen.longest < 5000, `${Math.round(seen.longest)} ms at most in ${seen.reads} pages, ${seen.unread} asked for again`);
    return seen;
};

/* Each node of the database and each web server once, killed outright in the middle of it. */
{
    const before = entries();
    const act = acting();
    const kills = [['database', 1], ['web', 1], ['database', 2], ['database', 3], ['web', 2]];
    for (const [at, [what, node]] of kills.entries()) {
        await reached(act.seen, (at + 0.5) / kills.length);
        const folder = `${given.run}/${node}`;
        const pids = what === 'database' ? [`${folder}/db/mariadb.pid`] : [`${folder}/php-fpm.pid`, `${folder}/nginx.pid`];
        pids.map((file) => Number(readFileSync(file, 'utf8'))).forEach((pid) => process.kill(pid, 'SIGKILL'));
        await sleep(1000 + 500 * roll());
        await run('bash', words(what === 'database' ? `start_node ${node}` : `start_server ${node}`), { timeout: 90_000 });
    }
    await settled(act, before, 'nodes killed');
    const sizes = [1, 2, 3].map((node) => sql(node, "SELECT VARIABLE_VALUE FROM information_schema.GLOBAL_STATUS WHERE VARIABLE_NAME = 'WSREP_CLUSTER_SIZE'"));
    holds('all three are one again', sizes.every((size) => size === '3'), sizes.join(', '));
    const counts = [1, 2, 3].map((node) => sql(node, 'SELECT CONCAT(COUNT(*), \' \', MAX(id), \' \', BIT_XOR(CRC32(content))) FROM entry'));
    holds('and hold the same', new Set(counts).size === 1, counts[0]);
}

/* A table gets another layout and both web servers are replaced, while people work. */
{
    const before = entries();
    const act = acting();
    await reached(act.seen, 0.1);
    sql(1, 'ALTER TABLE entry ADD rolling_test INT DEFAULT NULL');
    await run(`${given.project}/bin/cluster`, ['update'], { timeout: 180_000 });
    sql(1, 'ALTER TABLE entry DROP rolling_test');
    const seen = await settled(act, before, 'updated while people work');
    holds('nobody was told to come again', seen.refused === 0 && seen.unread === 0, `${seen.refused} writes, ${seen.unread} reads`);
}

process.exit(wrong === 0 ? 0 : 1);
