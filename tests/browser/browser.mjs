/** The browser of the tests, and of those who measure and take pictures: Debian's, as light as it comes. */
export const launchOptions = {
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
};
