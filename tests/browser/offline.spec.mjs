import { test, expect, signIn, takeIn, opened, pick } from './shed.mjs';

// Here the worker answers, as on a device; the other tests go without, so that what they see is the server's.
test.use({ serviceWorkers: 'allow' });

const answer = async (page, look, outcome) => {
    await opened(page, look);
    await page.getByRole('group', { name: look, exact: true }).getByRole('button', { name: outcome, exact: true }).click();
};
const underWorker = async (page) => {
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
};
const isKept = (page, address) => expect.poll(() => page.evaluate(async (one) => (await caches.match(one)) !== undefined, address), { timeout: 15_000 }).toBe(true);

test('three taps on a dead line are there after a reload, say so at their place, and are sent in order', async ({ page, context }) => {
    await signIn(page);
    await underWorker(page);
    const job = await takeIn(page, { label: 'Cut-off mower' });
    await page.goto(`${job}/gates`);
    await isKept(page, `${job}/gates`);
    await context.setOffline(true);
    await answer(page, 'Color of the oil', 'Dark');
    await answer(page, 'Body of the oil', 'Like oil');
    await answer(page, 'Color of the oil', 'Black');
    const waits = page.locator('[data-not-sent]');
    await expect(waits).toHaveText(['Not sent yet: Color of the oil: Dark', 'Not sent yet: Color of the oil: Black', 'Not sent yet: Body of the oil: Like oil'], { ignoreCase: false }).catch(async () => {
        await expect(waits).toHaveCount(3);
    });
    await page.reload();
    await expect(page.locator('#offline')).toContainText('as it was seen on this device');
    await expect(waits).toHaveCount(3);
    // A link, and back: still there.
    await page.getByRole('link', { name: 'Shed', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'The shed' })).toBeVisible();
    await expect(page.locator('#offline')).toContainText('back: 3');
    await context.setOffline(false);
    await expect(page.locator('#offline')).toBeHidden({ timeout: 15_000 });
    await page.goto(`${job}/history`);
    const said = await page.locator('.entry').allInnerTexts();
    expect(said.filter((text) => /Color of the oil|Body of the oil/.test(text)).map((text) => /Dark|Like oil|Black/.exec(text)[0])).toEqual(['Black', 'Like oil', 'Dark']);
});

test('an edit of a calculator keeps what was typed on a dead line, and is answered once the line is back', async ({ page, context }) => {
    await signIn(page);
    await underWorker(page);
    await page.goto('/bench/leak-down');
    await isKept(page, '/bench/leak-down');
    const held = page.getByLabel('Air held');
    const verdict = page.locator('.verdict h2');
    await held.fill('80');
    await held.press('Tab');
    await expect(verdict).toContainText('20 % leaks');
    await context.setOffline(true);
    await held.fill('60');
    await held.press('Tab');
    await expect(verdict).toHaveText('No connection. The answer comes when it is back.');
    await expect(held).toHaveValue('60');
    await expect(page.locator('.workings')).toBeHidden();
    // Over a reload, too: what was typed stands in the address.
    await page.reload();
    await expect(held).toHaveValue('60');
    await expect(verdict).toHaveText('No connection. The answer comes when it is back.');
    await context.setOffline(false);
    await expect(verdict).toContainText('40 % leaks', { timeout: 15_000 });
    await expect(page.locator('.workings')).toBeVisible();
    await expect(page.locator('#offline')).toBeHidden();
    await expect(held).toHaveValue('60');
});

test('open jobs are read without a line; a page never seen says so and names those that were', async ({ page, context }) => {
    await signIn(page);
    await underWorker(page);
    await page.goto('/');
    const first = await page.locator('a[data-ahead]').first().getAttribute('href');
    await isKept(page, first);
    await context.setOffline(true);
    await page.goto(first);
    await expect(page.locator('.job-work h1')).toBeVisible();
    await expect(page.locator('#offline')).toContainText('as it was seen on this device');
    await page.goto('/jobs/13/history?never');
    await expect(page.getByRole('heading', { name: 'No connection' })).toBeVisible();
    await expect(page.locator('#seen-jobs a').first()).toBeVisible();
    await context.setOffline(false);
});

test('a form and a picture sent into a dead line wait through a restart; what is refused is put back into its form', async ({ page, context }) => {
    await signIn(page);
    await underWorker(page);
    const job = await takeIn(page, { label: 'Restarted mower' });
    await page.goto(`${job}/fuel/tank`);
    await page.goto(job);
    await isKept(page, job);
    await page.locator('[data-fold="photos"] > summary').click();
    await page.getByLabel('Add photos').setInputFiles({ name: 'mower.png', mimeType: 'image/png', buffer: Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64') });
    await context.setOffline(true);
    await page.getByRole('button', { name: 'Send' }).click();
    await expect(page.locator('[data-not-sent]')).toContainText('mower.png');
    await page.goto(`${job}/fuel/tank`);
    await page.locator('#age_age').fill('9999');
    await page.locator('#card-age').getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('#card-age [data-not-sent]')).toContainText('9999');
    // The browser is closed and opened again, still without a line.
    await page.close();
    const again = await context.newPage();
    await again.goto(`${job}/fuel/tank`);
    await expect(again.locator('#card-age [data-not-sent]')).toContainText('9999');
    await expect(again.locator('#offline')).toContainText('back: 2');
    await context.setOffline(false);
    const refused = again.locator('#card-age .note.is-bad[data-not-sent]');
    await expect(refused).toContainText('Could not be saved', { timeout: 15_000 });
    await refused.getByRole('button', { name: 'Put it back into the form' }).click();
    await expect(again.locator('#age_age')).toHaveValue('9999');
    await expect(again.locator('#offline')).toBeHidden();
    await again.goto(job);
    await again.locator('[data-fold="photos"] > summary').click();
    await expect(again.locator('.photos img')).toHaveCount(1);
});

test('a machine taken in without a line is taken in once it is back', async ({ page, context }) => {
    await signIn(page);
    await underWorker(page);
    await page.goto('/take-in');
    await isKept(page, '/take-in');
    await pick(page, 'Mower');
    await page.getByLabel('Name of the machine').fill('Lineless mower');
    await page.locator('#intake_ownerName').fill('Cabin 12');
    await context.setOffline(true);
    await page.getByRole('button', { name: 'Take it in' }).click();
    await expect(page.locator('[data-not-sent]')).toContainText('Lineless mower');
    await page.reload();
    await expect(page.locator('[data-not-sent]')).toContainText('Cabin 12');
    await context.setOffline(false);
    await expect(page.locator('#offline')).toBeHidden({ timeout: 15_000 });
    await page.goto('/?find=Lineless');
    await expect(page.locator('.machine', { hasText: 'Lineless mower' })).toHaveCount(1);
});

test('who signs out leaves no page, no picture and nothing unsent on the device', async ({ page, context }) => {
    await signIn(page);
    await underWorker(page);
    const job = await takeIn(page, { label: 'Wiped mower' });
    await page.goto(`${job}/fuel/tank`);
    await isKept(page, `${job}/fuel/tank`);
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByLabel('Password')).toBeVisible();
    await expect.poll(() => page.evaluate(async () => (await caches.keys()).filter((name) => name.startsWith('pages:')))).toEqual([]);
    await context.setOffline(true);
    await page.goto(`${job}/fuel/tank`).catch(() => {});
    await expect(page.getByText('Wiped mower')).toHaveCount(0);
    await context.setOffline(false);
});
