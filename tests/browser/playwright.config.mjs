import { defineConfig } from '@playwright/test';

// The tests share one server and one barn, each on machines of its own, so files run side by side; only what kills the
// database or the connection waits until the others are done.
export default defineConfig({
    testDir: '.',
    testMatch: '*.spec.mjs',
    workers: 2,
    projects: [
        { name: 'shed', testIgnore: 'rough.spec.mjs' },
        { name: 'rough', testMatch: 'rough.spec.mjs', dependencies: ['shed'] },
    ],
    timeout: 30_000,
    retries: 0,
    reporter: [['list']],
    outputDir: '../../var/browser',
    use: {
        baseURL: process.env.SHED_ADDRESS,
        viewport: { width: 1280, height: 800 },
        locale: 'en-US',
        actionTimeout: 8_000,
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
        },
    },
});
