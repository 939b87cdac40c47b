/* Beside bin/dev: says to open pages that something changed, and makes the styles anew where it was one of theirs. */
import { execFile } from 'node:child_process';
import { watch, writeFileSync } from 'node:fs';
import { promisify } from 'node:util';

const [project, run] = process.argv.slice(2);
const make = promisify(execFile);
let waiting;
const changed = new Set();

const tell = async () => {
    const names = [...changed];
    changed.clear();
    try {
        if (names.some((name) => name.endsWith('.scss'))) {
            await make('npm', ['--prefix', project, 'run', '--silent', 'build:styles']);
        }
        // Where every page looks for news of its job: a name that no job has.
        writeFileSync(`${run}/news/${'0'.repeat(32)}`, String(Date.now()));
        process.stdout.write(`  ${new Date().toTimeString().slice(0, 8)}  ${names.slice(0, 3).join(', ')}${names.length > 3 ? ` and ${names.length - 3} more` : ''}\n`);
    } catch (failure) {
        process.stdout.write(`  ${failure.stderr || failure.message}\n`);
    }
};
for (const folder of ['src', 'core', 'templates', 'translations', 'config', 'assets/styles', 'assets/scripts']) {
    watch(`${project}/${folder}`, { recursive: true }, (_, name) => {
        if (name === null || /(~|\.sw.|reference\.php)$/.test(name)) {
            return;
        }
        changed.add(`${folder}/${name}`);
        clearTimeout(waiting);
        waiting = setTimeout(tell, 150);
    });
}
