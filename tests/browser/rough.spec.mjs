import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { test, expect, signIn, takeIn, tap, opened, pick } from './shed.mjs';

test('without a script everything can be read and entered', async ({ browser }) => {
    const context = await browser.newContext({ javaScriptEnabled: false });
    const page = await context.newPage();
    await signIn(page);
    const job = await takeIn(page, { label: 'Scriptless mower' });
    await page.goto(`${job}/gates`);
    await tap(page, 'Oil level', 'At the mark');
    await page.goto(`${job}/fuel/bowl`);
    await pick(page, 'Stale');
    await page.locator('#card-look').getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('.verdict')).toContainText('It smells stale.');
    await context.close();
});

test('a double tap records once', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Double-tapped mower' });
    await page.goto(`${job}/gates`);
    await page.getByRole('group', { name: 'Oil level', exact: true }).getByRole('button', { name: 'At the mark' }).dblclick();
    await expect(page.locator('.saved')).toContainText('Oil level: At the mark');
    await page.goto(`${job}/history`);
    await expect(page.locator('.entry', { hasText: 'Oil level' })).toHaveCount(1);
});

test('a dropped connection in the middle: what was entered waits on the device and is sent once', async ({ page, context }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Offline mower' });
    await page.goto(`${job}/fuel/tank`);
    await page.locator('#age_age').fill('30');
    await context.setOffline(true);
    await page.locator('#card-age').getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('#offline')).toContainText('to be sent when it is back: 1');
    await expect(page.locator('#age_age')).toHaveValue('30');
    // A reload finds no page, and the draft is gone with its form; the outbox is not.
    await page.reload().catch(() => {});
    await context.setOffline(false);
    await page.goto(`${job}/fuel/tank`);
    await expect(page.locator('#age_age')).toHaveValue('30', { timeout: 15_000 });
    await expect(page.locator('#offline')).toBeHidden();
    await page.goto(`${job}/history`);
    await expect(page.locator('.entry', { hasText: 'Jar from the tank' })).toHaveCount(1);
});

test('taps on a dead line keep their answers and their order, over a link and a refusal', async ({ page, context }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Tapped-offline mower' });
    await page.goto(`${job}/gates`);
    await context.setOffline(true);
    const answer = async (test, outcome) => {
        await opened(page, test);
        await page.getByRole('group', { name: test, exact: true }).getByRole('button', { name: outcome, exact: true }).click();
    };
    await answer('Color of the oil', 'Dark');
    await expect(page.locator('#offline')).toContainText('back: 1');
    await answer('Body of the oil', 'Like oil');
    await answer('Color of the oil', 'Black');
    await expect(page.locator('#offline')).toContainText('back: 3');
    await page.getByRole('link', { name: 'Shed', exact: true }).click().catch(() => {});
    await context.setOffline(false);
    await page.goto('/');
    await expect(page.locator('#offline')).toBeHidden({ timeout: 15_000 });
    await page.goto(`${job}/history`);
    const said = await page.locator('.entry').allInnerTexts();
    expect(said.filter((text) => /Color of the oil|Body of the oil/.test(text)).map((text) => /Dark|Like oil|Black/.exec(text)[0])).toEqual(['Black', 'Like oil', 'Dark']);
});

test('a connection that hangs is given up after ten seconds, and intake keeps every field', async ({ page }) => {
    test.setTimeout(90_000);
    await signIn(page);
    await page.goto('/take-in');
    await page.route('**/take-in', (route) => route.request().method() === 'POST' ? new Promise(() => {}) : route.continue());
    await pick(page, 'Snowblower');
    await page.getByLabel('Name of the machine').fill('Hanging thrower');
    await page.locator('#intake_ownerName').fill('Cabin 30');
    await page.getByRole('button', { name: 'Take it in' }).click();
    await expect(page.locator('#offline')).toContainText('No answer yet', { timeout: 6_000 });
    await expect(page.locator('#offline')).toContainText('Kept on this device', { timeout: 12_000 });
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await page.goto('/?find=Hanging+thrower');
    await expect(page.locator('#offline')).toBeHidden({ timeout: 20_000 });
    await expect(page.getByText('Hanging thrower')).toHaveCount(1);
});

test('a picture on a dead line waits on the device and is sent when the line is back', async ({ page, context }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Pictured-offline mower' });
    await page.goto(job);
    await page.locator('[data-fold="photos"] > summary').click();
    await page.getByLabel('Add photos').setInputFiles({ name: 'mower.png', mimeType: 'image/png', buffer: Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64') });
    await context.setOffline(true);
    await page.getByRole('button', { name: 'Send' }).click();
    await expect(page.locator('#offline')).toContainText('back: 1');
    await expect(page.locator('#photos [data-not-sent]')).toContainText('mower.png');
    await context.setOffline(false);
    await expect(page.locator('#offline')).toBeHidden({ timeout: 20_000 });
    await expect(page.locator('.photos img')).toHaveCount(1);
});

test('who signs out leaves nothing on the device', async ({ page, context }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Left-behind mower' });
    await page.goto(`${job}/fuel/tank`);
    await page.locator('#card-shift > summary').click();
    await page.locator('#shift_fuel').fill('90');
    await context.setOffline(true);
    await page.locator('#card-shift').getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('#offline')).toContainText('back: 1');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.locator('#offline')).toContainText('Sign out once more');
    await page.evaluate(() => clearInterval(1));
    await context.setOffline(false);
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByLabel('Password')).toBeVisible();
    expect(await page.evaluate(() => Object.keys(localStorage).filter((key) => /^(draft|outbox)/.test(key)))).toEqual([]);
});

test('what is half typed survives a closed page', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Half-typed mower' });
    await page.goto(`${job}/fuel/tank`);
    await page.locator('#card-shift > summary').click();
    await page.locator('#shift_fuel').fill('90');
    await page.goto('/');
    await page.goto(`${job}/fuel/tank`);
    await expect(page.locator('#shift_fuel')).toHaveValue('90');
    await expect(page.locator('#card-shift')).toContainText('What you had typed here is back.');
});

test('a session that ran out while typing loses nothing', async ({ page, context }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Expired mower' });
    await page.goto(`${job}/gates`);
    await opened(page, 'Body of the oil');
    await context.clearCookies({ name: 'shed' });
    await page.getByRole('group', { name: 'Body of the oil' }).getByRole('button', { name: 'Like oil' }).click();
    await expect(page.getByText('What you typed is kept')).toBeVisible();
    await page.getByLabel('Name you sign in by').fill('tamsin');
    await page.getByLabel('Password').fill('tray-under-the-filler');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: 'Send it again' }).click();
    await expect(page).toHaveURL(new RegExp(`${job}/gates`));
    await page.goto(`${job}/history`);
    await expect(page.locator('.entry').first()).toContainText('Body of the oil: Like oil');
    // Not even on a device the server no longer knows.
    await page.goto(`${job}/gates`);
    await opened(page, 'Color of the oil');
    await context.clearCookies();
    await page.getByRole('group', { name: 'Color of the oil' }).getByRole('button', { name: 'Dark' }).click();
    await expect(page.getByLabel('Password')).toBeVisible();
    await signIn(page);
    await expect(page.locator('#offline')).toBeHidden({ timeout: 15_000 });
    await page.goto(`${job}/history`);
    await expect(page.locator('.entry').first()).toContainText('Color of the oil: Dark');
});

test('a picture of twenty megabytes, and a disguised one, are refused in words', async ({ page }, info) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Photographed mower' });
    for (const [contents, words] of [[Buffer.alloc(20_000_000, 7), 'larger than 12 MB'], [Buffer.alloc(50_000_000, 7), 'larger than 12 MB'], [Buffer.from('<svg onload="alert(1)"/>'), 'not a JPEG, PNG or WebP picture']]) {
        await page.goto(job);
        await page.locator('[data-fold="photos"] > summary').click();
        const file = info.outputPath('mower.jpg');
        writeFileSync(file, contents);
        await page.getByLabel('Add photos').setInputFiles(file);
        await page.getByRole('button', { name: 'Send' }).click();
        await expect(page.locator('[data-error=refused]')).toContainText(words);
    }
});

test('a killed database is said in plain words, and everything committed is there when it is back', async ({ page }) => {
    test.setTimeout(90_000);
    await signIn(page);
    const job = await takeIn(page, { label: 'Killed mower' });
    await page.goto(`${job}/gates`);
    await tap(page, 'Oil level', 'At the mark');
    await page.goto(`${job}/carburetor`);
    await page.getByRole('button', { name: 'Float bowl, brass jets' }).click();
    await page.getByRole('button', { name: 'Off, onto place 1' }).first().click();
    await expect(page.locator('[data-mat="1"]')).toBeVisible();
    await page.goto(`${job}/gates`);
    await opened(page, 'Color of the oil');
    process.kill(Number(readFileSync(`${process.env.SHED_RUN}/db/mariadb.pid`, 'utf8')), 'SIGKILL');
    await page.getByRole('group', { name: 'Color of the oil' }).getByRole('button', { name: 'Dark' }).click();
    await expect(page.locator('[data-error=database]')).toContainText('The database does not answer');
    execFileSync('bash', ['-c', `. bin/lib/shed.sh; db_port=${process.env.SHED_DB_PORT}; start_database`], { stdio: 'ignore', timeout: 60_000 });
    await page.getByRole('button', { name: 'Send it again' }).click();
    await expect(page).toHaveURL(new RegExp(`${job}/gates`));
    await page.goto(`${job}/history`);
    await expect(page.locator('.entry')).toHaveCount(5);
    await expect(page.locator('.entry').first()).toContainText('Color of the oil: Dark');
    await page.goto(`${job}/carburetor`);
    await expect(page.locator('[data-mat="1"]')).toContainText('Air-filter base');
});
