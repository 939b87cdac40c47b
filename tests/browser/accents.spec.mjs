import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { test, expect } from './shed.mjs';
import { views } from './pages.mjs';

/*
 * The shed in a language nobody speaks: what is translated stands in brackets, accented and a third longer. What stands
 * outside them is no word of the shed's, but somebody's: a name, a note, a number with its unit.
 */
const address = 'http://127.0.0.1:8433';

/** People, makers, cans and notes of the demo, dates, and what a browser calls itself. */
const ofTheDemo = /Tamsin|Odalys|Wim Larkrise|Cabin \d|The association|Tarnsmith|Ebbfield|Dapplewood|Heronbill|Reedmace|Alderholm|The machine barn|first snow|coil from the shelf|notch down|channel to the head|can by the door|Blue can|drum|Solvent tin|SAE 30|5W-30|Chrome|gasket|Needle and seat|\b(Jan|Feb|Mar|Apr|May|June?|July?|Aug|Sept?|Oct|Nov|Dec) \d|\.json$|faults\/|manual|upper|lower|odalys|tamsin|wim/;
test.use({ baseURL: address });
let server;
test.beforeAll(async () => {
    // Templates and words of an earlier source would be served from here.
    rmSync('var/cache/pseudo', { recursive: true, force: true });
    server = spawn('php', ['-S', '127.0.0.1:8433', '-t', 'public', 'tests/browser/pseudo.php'], { env: { ...process.env, SHED_RUN_DIR: process.env.SHED_RUN, PHP_CLI_SERVER_WORKERS: '2' }, stdio: 'ignore', detached: true });
    await expect.poll(() => fetch(`${address}/sign-in`).then((answer) => answer.status, () => 0), { timeout: 60_000 }).toBe(200);
});
test.afterAll(() => process.kill(-server.pid));

test('no word escapes translation and nothing runs out at the side, in a language a third longer', async ({ page }) => {
    test.setTimeout(300_000);
    await page.goto('/sign-in');
    await page.locator('#name').fill('odalys');
    await page.locator('#password').fill('barn-keys-on-the-hook');
    await page.locator('main button').click();
    await expect(page.locator('.shed-row').first()).toBeVisible({ timeout: 20_000 });
    await page.setViewportSize({ width: 390, height: 844 });
    const escaped = {};
    for (const view of views) {
        await page.goto(view);
        expect.soft(await page.evaluate(() => document.documentElement.scrollWidth), `${view} is wider than a phone`).toBeLessThanOrEqual(390);
        const outside = await page.evaluate(() => {
            const found = [];
            // What somebody typed, and names of things, are said as they are.
            const theirs = 'head, script, style, option, textarea, kbd, code, [data-own], .number, .machine, .kind, .here, .crumbs, .brand, .entry-who, .noted, .caption, .remarks, .mat-notes';
            const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
            while (texts.nextNode()) {
                const holder = texts.currentNode.parentElement;
                let rest = texts.currentNode.data;
                if (holder.closest(theirs)) {
                    continue;
                }
                for (let before = ''; before !== rest;) {
                    before = rest;
                    rest = rest.replace(/\[[^[\]]*\]/g, ' ');
                }
                if (/[A-Za-z]{4,}/.test(rest)) {
                    found.push(rest.trim().replace(/\s+/g, ' ').slice(0, 80));
                }
            }
            return found;
        });
        for (const words of outside.filter((text) => !ofTheDemo.test(text))) {
            (escaped[words] ??= []).push(view);
        }
    }
    expect(escaped).toEqual({});
});
