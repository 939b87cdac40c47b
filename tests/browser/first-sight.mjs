/*
 * How soon the main of a page is seen, on a phone four times as slow and a line of 400 kbit/s with 400 ms to the server:
 * node tests/browser/first-sight.mjs [ADDRESS]. Of a running demo; measured, never asserted. Bars: 2.0 s cold, 0.8 s warm.
 */
import { chromium } from '@playwright/test';
import { launchOptions } from './browser.mjs';
import { signIn } from './shed.mjs';

const address = process.argv[2] ?? 'http://127.0.0.1:8420';
const browser = await chromium.launch(launchOptions);
const page = await (await browser.newContext({ viewport: { width: 390, height: 844 }, baseURL: address })).newPage();
await signIn(page);
// What is fetched ahead of its time is not what is measured.
await page.waitForTimeout(8_000);
const client = await page.context().newCDPSession(page);
await client.send('Emulation.setCPUThrottlingRate', { rate: 4 });
await client.send('Network.emulateNetworkConditions', { offline: false, latency: 400, downloadThroughput: 51_200, uploadThroughput: 51_200 });

const seen = async (path) => {
    await page.goto(path, { waitUntil: 'load' });
    await page.waitForTimeout(1_500);
    return page.evaluate(() => new Promise((resolve) => {
        new PerformanceObserver((list) => resolve(list.getEntries().at(-1).startTime / 1000)).observe({ type: 'largest-contentful-paint', buffered: true });
    }));
};
for (const path of ['/', '/jobs/9', '/jobs/9/gates', '/jobs/9/fuel/tank']) {
    await client.send('Network.clearBrowserCache');
    await page.evaluate(async () => {
        await Promise.all((await caches.keys()).map((name) => caches.delete(name)));
        await Promise.all((await navigator.serviceWorker.getRegistrations()).map((one) => one.unregister()));
    });
    const cold = await seen(path);
    const warm = await seen(path);
    console.log(`${path.padEnd(20)} cold ${cold.toFixed(2)} s   warm ${warm.toFixed(2)} s`);
}
await browser.close();
