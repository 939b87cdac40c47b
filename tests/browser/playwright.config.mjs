import { defineConfig } from '@playwright/test';
import { launchOptions } from './browser.mjs';

// One worker: the tests share one server and one barn, each on machines of its own; two browsers on two cores took each
// test four times as long.
export default defineConfig({
    testDir: '.',
    testMatch: '*.spec.mjs',
    workers: 1,
    timeout: 60_000,
    retries: 0,
    reporter: [['list']],
    outputDir: '../../var/browser',
    use: {
        baseURL: process.env.SHED_ADDRESS,
        viewport: { width: 1280, height: 800 },
        locale: 'en-US',
        serviceWorkers: 'block',
        actionTimeout: 8_000,
        launchOptions,
    },
});
