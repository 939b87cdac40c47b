import { test, expect, signIn, takeIn, tap, opened, pick, tabTo } from './shed.mjs';

test('a machine comes in, its oil stops it, is cured, and its fuel is jarred; tomorrow it is all there', async ({ page, context }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Wader push mower', idle: '3 years' });
    await page.getByRole('link', { name: 'To the gates' }).first().click();

    await tap(page, 'Oil level', 'Far over');
    await expect(page.locator('[data-oil=drain_first]')).toBeVisible();
    await expect(page.locator('#look-feel-pull')).toContainText('Closed:');
    await expect(page.locator('#look-feel-pull').getByRole('button', { name: 'Normal' })).toHaveCount(0);
    await page.getByRole('button', { name: /Drained, refilled/ }).click();
    await expect(page.locator('[data-oil=look_again]')).toBeVisible();
    for (const [look, outcome] of [['Oil level', 'At the mark'], ['Smell of the oil', 'Of oil only'], ['Body of the oil', 'Like oil'], ['Color of the oil', 'Dark']]) {
        await tap(page, look, outcome);
    }
    await expect(page.locator('[data-oil=go_on]')).toBeAttached();
    for (const [look, outcome] of [['Air filter', 'Clean'], ['Blade or impeller', 'True'], ['Controls', 'Free'], ['Oil into the cylinder', 'Done'], ['Feel of the pull', 'Normal']]) {
        await tap(page, look, outcome);
    }

    await page.goto(`${job}/fuel/tank`);
    await page.locator('#layers_total').fill('80');
    await page.locator('#layers_height').fill('92');
    await page.locator('#layers_lower').fill('14');
    await page.locator('#card-layers').getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('[data-fuel=discard]')).toBeVisible();
    // One tap saves.
    await pick(page, 'Varnish');
    await expect(page.locator('.reasons')).toContainText('varnish');
    await page.locator('#card-shift > summary').click();
    await page.locator('#shift_fuel').fill('90');
    await page.locator('#shift_water').fill('10');
    await page.locator('#shift_aqueous').fill('18,3');
    await page.locator('#shift_at').fill('20 °C');
    await page.locator('#card-shift').getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('#card-shift .answer')).toContainText('10 ± 0.6 % ethanol: E10.');

    const other = await context.browser().newContext();
    const tomorrow = await other.newPage();
    await signIn(tomorrow, 'wim');
    await tomorrow.goto(new URL(`${job}/fuel/tank`, page.url()).href);
    await expect(tomorrow.locator('#layers_lower')).toHaveValue('14');
    await tomorrow.goto(new URL(`${job}/history`, page.url()).href);
    await expect(tomorrow.locator('.entry')).toHaveCount(15);
    await other.close();
});

test('the drawn jar is dragged, and moved by keys, and saves what it shows', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Jar test mower' });
    await page.goto(`${job}/fuel/tank`);
    const handle = page.getByRole('slider', { name: /lower layer/ });
    const box = await page.locator('.jar-drawing').boundingBox();
    const grip = await handle.boundingBox();
    await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2);
    await page.mouse.down();
    await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2 - box.height / 4, { steps: 6 });
    await page.mouse.up();
    const dragged = Number(await page.locator('#layers_lower').inputValue());
    expect(dragged).toBeGreaterThan(25);
    expect(dragged).toBeLessThan(45);
    await handle.focus();
    await page.keyboard.press('Shift+ArrowDown');
    await page.keyboard.press('ArrowUp');
    expect(Number(await page.locator('#layers_lower').inputValue())).toBe(dragged - 9);
    await page.locator('#card-layers').getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('.verdict')).toContainText(`${dragged - 9} mL`);
    await expect(handle).toHaveAttribute('aria-valuenow', String(dragged - 9));
});

test('a settling jar is seen ticking from every page and survives a reload', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Settling mower' });
    const number = job.split('/').pop();
    await page.goto(`${job}/fuel/tank`);
    await page.locator('#card-settle > summary').click();
    await page.locator('#settle_height').fill('100');
    await page.getByRole('button', { name: 'Start the wait' }).click();
    const wait = page.locator('.wait', { hasText: `#${number} ` });
    await expect(wait).toContainText(/1[45]:\d\d/);
    await page.goto('/waste');
    const before = await wait.locator('.wait-time').textContent();
    await page.reload();
    await expect(wait).toContainText(/1[45]:\d\d/);
    await expect(wait.locator('.wait-time')).not.toHaveText(before);
    await wait.click();
    await page.getByRole('button', { name: 'I have looked at it' }).click();
    await expect(wait).toHaveCount(0);
});

test('a mistap is undone, and corrected with its history', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Mistapped mower' });
    await page.goto(`${job}/gates`);
    await tap(page, 'Smell of the oil', 'Of gas');
    await expect(page.locator('[data-oil=drain_first]')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('[data-oil=not_looked]')).toBeVisible();
    await tap(page, 'Color of the oil', 'Milky');
    await opened(page, 'Color of the oil');
    await page.locator('#look-look-oil_colour').getByText('Change', { exact: true }).click();
    await page.getByRole('group', { name: 'Correct: Color of the oil' }).getByRole('button', { name: 'Dark' }).click();
    await expect(page.locator('#look-look-oil_colour .standing')).toContainText('Dark');
    await page.goto(`${job}/history`);
    await expect(page.locator('.entry').first()).toContainText('before: Color of the oil: Milky');
});

test('the whole oil gate by keyboard alone', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Keyboard mower' });
    await page.keyboard.press('g');
    await expect(page).toHaveURL(/gates/);
    const press = async (target) => {
        await tabTo(page, target, 80);
        await expect(target).toBeFocused();
        await page.keyboard.press('Enter');
    };
    const reach = async (look, outcome) => {
        const group = page.getByRole('group', { name: look, exact: true, includeHidden: true });
        const folds = page.locator('details.look').filter({ has: group });
        if (await folds.getAttribute('open') === null) {
            await press(folds.locator('summary').first());
        }
        await press(group.getByRole('button', { name: outcome, exact: true }));
        await expect(page.locator('.saved')).toContainText(`${look}: ${outcome}`);
    };
    // What was answered folds, and the finger is at what is to be looked at next.
    await reach('Color of the oil', 'Clear');
    await expect(page.locator('#look-look-oil_level > summary')).toBeFocused();
    await reach('Oil level', 'At the mark');
    await reach('Smell of the oil', 'Of oil only');
    await reach('Body of the oil', 'Like oil');
    // The gate is passed: the next one opens, and the finger is at its first look.
    await expect(page.locator('[data-oil=go_on]')).toBeAttached();
    await expect(page.locator('#gate-nests .look[open] > summary')).toBeFocused();
    await page.goto(job);
    await page.keyboard.press('?');
    await expect(page.getByRole('heading', { name: 'Keys and help' })).toBeVisible();
});

test('an exported case is imported again by hand', async ({ page }) => {
    await signIn(page);
    await page.goto('/jobs/9');
    const download = page.waitForEvent('download');
    await page.locator('[data-fold="record"] > summary').click();
    await page.getByRole('link', { name: /Export the case/ }).click();
    const file = await (await download).path();
    await page.goto('/import');
    await page.getByLabel('Name of the machine').fill('Snowblower from the file');
    await page.getByLabel('Customer').fill('The association');
    await page.getByLabel('Case file').setInputFiles(file);
    await page.getByRole('button', { name: 'Check and import' }).click();
    await expect(page.getByRole('heading', { name: 'Snowblower from the file' })).toBeVisible();
    await expect(page.locator('[data-station="tank"]')).toContainText('bad');
});
