/* See bin/fuzz. */
import { readFileSync } from 'node:fs';
import { Person, dice, given, passwords } from './attack.mjs';

const MARK = '<i data-fuzz=1>';
const AT_ONCE = 4;
const SLOW = 5000;
const { roll, below, of } = dice(given.seed);

// These end sessions, change who may do what, or wait by design: each has tests of its own.
const LEFT_OUT = /^(sign_out|person_|my_sessions|people$|me$|own_password|my_second_factor|second_factor|shop_throw|trace_live|trace_wait|welcome|first_owner|_)/;
const routes = Object.entries(JSON.parse(readFileSync(given.routes, 'utf8'))).filter(([name]) => !LEFT_OUT.test(name)).map(([name, route]) => ({ name, path: route.path, methods: route.method === 'ANY' ? ['GET'] : route.method.split('|') }));

const deep = (levels) => levels === 0 ? 'x' : { [of(['a', '0', MARK])]: deep(levels - 1) };
const words = [
    '', ' ', '0', '-1', '1', '2', '7', '20', '999999999999', '1e308', '-1e308', 'NaN', 'INF', '1,5', '3,600', '0x10', 'null', 'true', '[]', '{}', '%', '%00', '%s%s%n', '../../etc/passwd',
    MARK, `"'>${MARK}`, `javascript:alert(1)`, '{{7*7}}', "' OR 1=1 -- ", '\u0000', '\u202e', '\ud83d\udd27', 'ÅΩ', 'a'.repeat(300), 'x'.repeat(70_000),
    'look.oil_colour', 'dark', 'claim.idle_months', 'run.load', 'start.pull', 'room:', 'room:bowl', 'test:x', 'stage:zz', 'now:%', 'gates', 'history', 'begin', 'off', 'on', 'clean', 'check', 'sprayed', 'fuel.drain', 'oil.drain',
    'mower', '2026-11-25', '2026-02-31', '9999-99-99', 't [s],p [psi]\n0,1\n1,1e308\n', 't [s],p [psi]\n0,1\n1,2\n', '{"format":"awake-shed/case","version":1,"machine":{"kind":"mower"}}',
    '{"format":"awake-shed/case","version":1,"machine":{"kind":"mower"},"x":' + '['.repeat(40) + ']'.repeat(40) + '}', '019ab4c2-7a11-7c11-8000-0123456789ab', 'sqrt(-1)', '5 mL', '30 in', '12;13;14',
];
const names = [
    'test', 'outcome', 'back', 'gate', 'fault', 'school', 'question', 'step', 'choice', 'oil', 'volume', 'ml', 'minutes', 'what', 'place', 'passage', 'exit', 'type', 'kind', 'name', 'quantity', 'state', 'stream', 'litres', 'note', 'page', 'find', 'sort', 'stand', 'text',
    'csv', 'poles', 'play', 'said', 'words', 'parts', 'code', 'before', 'to', 'share', 'displacement_cc', 'liquid_ml', 'rpm', 'request_key', 'session', 'was', 'role', 'sure', 'own', 'size', 'hole', 'turns',
];
const forms = ['intake', 'look', 'layers', 'shift', 'dose', 'age', 'tank', 'settle', 'waste', 'spec_page', 'import', 'preferences', 'shop'];
const fields = { intake: ['kind', 'label', 'ownerName', 'wantedBy', 'idle', 'oil', 'claims', 'claims][claim_tipped', 'photos', 'it_is_so', 'based_on'], layers: ['total', 'lower', 'height', 'based_on'], shift: ['fuel', 'water', 'lower'], settle: ['height'], waste: ['stream', 'volume'], spec_page: ['name', 'kind', 'based_on', 'rows', 'rows][oil_ml][amount'], import: ['label', 'ownerName', 'text'], shop: ['name', 'place', 'units', 'based_on'] };

const address = (path) => path.replace(/\{([^}]+)\}/g, (_, name) => ({
    job: () => of(['1', '2', '3', '7', '12', '20', '999', '0', '99999999999']), entry: () => String(1 + below(230)), id: () => String(below(60)), photo: () => String(below(50)), trace: () => String(below(6)), page: () => String(below(8)), sample: () => of(['tank', 'bowl', 'x']),
    part: () => of(['look', 'layers', 'shift', 'dose', 'age', 'tank', 'zz']), size: () => of(['full', 'small', 'x']), kind: () => of(['needle', 'speed', 'x']), name: () => of(['hydrolock', 'ethanol', 'blade-tip', 'jet', 'premix', 'x']), format: () => of(['csv', 'json', 'x']), stage: () => of(['fuel', 'locked', 'flush', 'split', 'path', 'needle', 'decide', 'jet', 'x']),
    room: () => of(['bowl', 'tank', 'cylinder', 'x']), test: () => of(['look.oil_colour', 'start.pull', 'x.y', 'x']), fault: () => of(['oil.low', 'carb.needle_leaks', 'x.y']), state: () => of(['ordered', 'here', 'x']), how: () => of(['bought', 'counted', 'x']), stream: () => of(['stale_gasoline', 'x']), since: () => String(below(300)),
}[name] ?? (() => encodeURIComponent(of(words).slice(0, 40))))());
const filled = (person, into) => {
    if (roll() < 0.85) {
        into.append('_token', person.token);
    }
    for (let count = below(7); count > 0; count -= 1) {
        const name = of(names);
        into.append(roll() < 0.08 ? `${name}[${of(['', 'x', '0', MARK])}]` : name, of(words));
    }
    if (roll() < 0.35) {
        const form = of(forms);
        if (roll() < 0.85) {
            into.append(`${form}[_token]`, person.token);
        }
        for (let count = below(6); count > 0; count -= 1) {
            into.append(`${form}[${of(fields[form] ?? names)}]`, of(words));
        }
    }
    return into;
};

const people = [...Object.keys(passwords).map((name) => new Person(given.address, name)), new Person(given.address, '')];
for (const person of people.filter(({ name }) => name !== '')) {
    await person.signIn();
}
const most = Number(given.requests);
const found = [];
const by = {};
let sent = 0;
const attack = async () => {
    while (sent < most && found.length < 20) {
        sent += 1;
        const person = of(people);
        const route = of(routes);
        const method = roll() < 0.93 ? of(route.methods) : of(['GET', 'POST', 'PUT', 'HEAD']);
        let path = address(route.path);
        if (roll() < 0.3 || method === 'GET') {
            path += `?${filled(person, new URLSearchParams())}`.slice(0, 6000);
        }
        const options = { method, patience: 20_000, headers: {} };
        if (method === 'POST' || method === 'PUT') {
            const shape = roll();
            if (shape < 0.75) {
                options.body = filled(person, new URLSearchParams());
            } else if (shape < 0.9) {
                options.body = filled(person, new FormData());
                options.body.append(of(['file', 'photos[]', 'photos', 'intake[photos][]', 'import[file]']), new Blob([of(words)]), `${MARK}.jpg`);
            } else {
                options.headers['Content-Type'] = of(['application/json', 'text/plain', 'application/x-www-form-urlencoded']);
                options.body = of([JSON.stringify(deep(below(40))), '{', '\xff\xfe=\xff', 'a[b][c]=%ff&test=%fe', JSON.stringify({ _token: person.token, test: ['x'] })]);
            }
        }
        const from = performance.now();
        try {
            const answer = await person.ask(path, options);
            const text = /text\/html/.test(answer.headers.get('content-type') ?? '') ? await answer.text() : (await answer.arrayBuffer(), '');
            const took = performance.now() - from;
            by[answer.status] = (by[answer.status] ?? 0) + 1;
            const wrong = answer.status >= 500 ? `status ${answer.status}` : text.includes(MARK) ? 'markup shown raw' : took > SLOW ? `${Math.round(took)} ms` : null;
            if (wrong !== null) {
                found.push(`${wrong}: ${person.name || 'nobody'} ${route.name} ${method} ${path.slice(0, 300)} ${options.body instanceof FormData ? '[files]' : String(options.body ?? '').slice(0, 600)}`);
            }
            if (answer.status === 303 && (answer.headers.get('location') ?? '').includes('/sign-in') && person.name !== '') {
                await person.signIn();
            }
        } catch (failure) {
            found.push(`no answer (${failure.message}): ${route.name} ${method} ${path.slice(0, 300)}`);
        }
        if (sent % 5000 === 0) {
            process.stdout.write(`  ${sent} requests\n`);
        }
    }
};
await Promise.all(Array.from({ length: AT_ONCE }, attack));
process.stdout.write(`  ${sent} requests: ${JSON.stringify(by)}\n`);
for (const one of found) {
    process.stdout.write(`  WRONG ${one}\n`);
}
process.exit(found.length === 0 ? 0 : 1);
