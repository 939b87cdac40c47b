/*
 * The pictures of README, of a demo as it is laid out (bin/start --reset): node tests/browser/pictures.mjs [FOLDER] [ADDRESS].
 * Without a folder they replace those in docs/screenshots; look at every one before it is committed.
 */
import { chromium } from '@playwright/test';
import { launchOptions } from './browser.mjs';
import { signIn } from './shed.mjs';

const folder = process.argv[2] ?? 'docs/screenshots';
const address = process.argv[3] ?? 'http://127.0.0.1:8420';
const hydrolock = '/bench/hydrolock?displacement_cc=160&compression_ratio=8.5&liquid_ml=28&drops_per_minute=6&drop_ml=0.025';
const pictures = {
    desk: { shed: '/', job: '/jobs/9', gates: '/jobs/8/gates', jar: '/jobs/9/fuel/tank', hydrolock, needle: '/traces/1', mat: '/jobs/19/carburetor', plan: '/plan', bench: '/bench', stage: '/jobs/8/stages/flush', quote: '/jobs/9/bench/quote', ahead: '/plan/ahead', likely: '/jobs/8/likely', sheet: '/jobs/22/sheet' },
    dark: { 'jar-dark': '/jobs/9/fuel/tank' },
    phone: { 'step-phone': '/jobs/8/now/flush', 'job-phone': '/jobs/9', 'gates-phone': '/jobs/8/gates', 'first-run-phone': '/jobs/24/stages/first_run' },
};
const looks = {
    desk: { viewport: { width: 1280, height: 800 } },
    dark: { viewport: { width: 1280, height: 800 }, colorScheme: 'dark' },
    phone: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
};

const browser = await chromium.launch(launchOptions);
for (const [look, pages] of Object.entries(pictures)) {
    const page = await (await browser.newContext({ ...looks[look], locale: 'en-US', baseURL: address })).newPage();
    await signIn(page);
    for (const [name, path] of Object.entries(pages)) {
        await page.goto(path, { waitUntil: 'networkidle' });
        await page.evaluate(() => document.fonts.ready);
        await page.screenshot({ path: `${folder}/${name}.png` });
        console.log(`${name}  ${path}`);
    }
    await page.context().close();
}
await browser.close();
