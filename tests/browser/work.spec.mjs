import { test, expect, signIn, takeIn, tap, opened } from './shed.mjs';

const step = (page, id) => page.locator(`[data-step="${id}"]`);

/** Types the figures of an act and says that it is done. */
const did = async (page, id, ...figures) => {
    const inputs = step(page, id).locator('form.act input:visible');
    for (const [number, figure] of figures.entries()) {
        await inputs.nth(number).fill(figure);
    }
    const before = await step(page, id).locator('.standing').count();
    await step(page, id).locator('form.act button').click();
    await expect(step(page, id).locator('.standing')).toHaveCount(before + 1);
};

const found = async (page, id, outcome) => {
    await step(page, id).getByRole('button', { name: outcome, exact: true }).click();
    await expect(step(page, id).getByRole('button', { name: outcome, exact: true })).toHaveAttribute('aria-pressed', 'true');
};

test('a locked pressure washer with gas in it, from intake until it may be started', async ({ page }) => {
    test.setTimeout(120_000);
    await signIn(page);
    const job = await takeIn(page, { kind: 'Pressure washer', label: 'Quillet test washer' });
    await page.goto(`${job}/gates`);
    await tap(page, 'Oil level', 'Far over');
    await tap(page, 'Smell of the oil', 'Of gas');
    await tap(page, 'Body of the oil', 'Thin');
    await tap(page, 'Color of the oil', 'Dark');
    await tap(page, 'Air filter', 'Clean');

    // The oil first: the plug stays in until it is drained.
    await page.goto(`${job}/stages/locked`);
    await expect(step(page, 'locked.plug_out')).toContainText('First: Oil drained.');
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Oil flush' }).click();
    await did(page, 'flush.drain', '1050');
    await expect(page.locator('.waiting')).toContainText('Oil draining');
    await page.reload();
    await expect(page.locator('.waiting')).toContainText('Oil draining');

    // Plug out, pulls counted until nothing comes.
    await page.goto(`${job}/stages/locked`);
    await found(page, 'locked.plug_out', 'Free');
    await found(page, 'locked.ejecta', 'Gas');
    for (const thrown of ['22', '7', '0']) {
        await did(page, 'locked.pull', thrown);
    }
    await expect(step(page, 'locked.pull').locator('[data-dry="1"]')).toContainText('3 pulls, 29 mL in all');
    await step(page, 'locked.clear_gas').getByRole('button', { name: 'Cleared of gas, nothing comes any more' }).click();
    await expect(page.locator('.saved')).toContainText('Put right');
    await found(page, 'locked.nothing_comes', 'None');
    await step(page, 'locked.cause').getByRole('button', { name: 'The needle leaks' }).click();
    await expect(step(page, 'locked.cause')).toContainText('done');

    // Fresh oil, the cure, the looks again; then, and only then, may it be started.
    await page.goto(`${job}/stages/flush`);
    await did(page, 'flush.fill_1', '580');
    await did(page, 'flush.pulls', '3');
    await did(page, 'flush.plug');
    await step(page, 'flush.cure').getByRole('button').click();
    await expect(page.locator('.saved')).toContainText('Put right');
    await found(page, 'flush.level', 'At the mark');
    await found(page, 'flush.smell', 'Of oil only');
    await found(page, 'flush.body', 'Like oil');
    await expect(step(page, 'flush.run_1').locator('.is-shut')).toBeVisible();
    await page.goto(`${job}/gates`);
    await tap(page, 'Pump', 'Turns');
    await tap(page, 'Controls', 'Free');
    await tap(page, 'Feel of the pull', 'Normal');
    await page.goto(`${job}/stages/flush`);
    await found(page, 'flush.water', 'On');
    await did(page, 'flush.run_1', '10');
    await expect(page.locator('.waiting')).toContainText('Burning off, keep an eye on it');
    await found(page, 'flush.smoke', 'Clears');
    await did(page, 'flush.drain_hot', '540');
    await did(page, 'flush.fill_2', '540');
    await found(page, 'flush.level', 'At the mark');
    await expect(page.locator('.step.is-open')).toHaveCount(0);

    // The needle let it in, so it does not go home yet.
    await page.goto(job);
    await page.getByRole('link', { name: 'Going home' }).click();
    await expect(page.locator('[data-refused]')).toContainText('The needle let the gas in, and it is not put right');
    await expect(page.getByRole('button', { name: 'Hand it back' })).toHaveCount(0);

    // The ledger holds what was poured.
    await page.goto(`${job}/waste`);
    await expect(page.getByText('1,050 mL')).toBeVisible();
});

test('a snowblower with water under its gas, by keyboard alone', async ({ page }) => {
    test.setTimeout(120_000);
    await signIn(page);
    const job = await takeIn(page, { kind: 'Snowblower', label: 'Tarnsmith test snowblower' });
    const press = async (target) => {
        await target.focus();
        await expect(target).toBeFocused();
        await page.keyboard.press('Enter');
    };
    const look = (name, outcome) => page.getByRole('group', { name, exact: true }).getByRole('button', { name: outcome, exact: true });
    for (const [name, outcome] of [['Oil level', 'At the mark'], ['Smell of the oil', 'Of oil only'], ['Body of the oil', 'Like oil'], ['Color of the oil', 'Dark'], ['Air filter', 'Clean'], ['Blade or impeller', 'True'], ['Controls', 'Free'], ['Feel of the pull', 'Normal']]) {
        await page.goto(`${job}/gates`);
        await opened(page, name);
        await press(look(name, outcome));
        await expect(page.locator('.saved')).toContainText(`${name}: ${outcome}`);
    }
    await page.goto(job);
    await page.keyboard.press('w');
    await expect(page).toHaveURL(/stages$/);
    await press(page.getByRole('link', { name: 'Draining and fuel' }));
    await press(step(page, 'fuel.jar').getByRole('button', { name: 'Two layers' }));
    await expect(step(page, 'fuel.drain')).toContainText('open');
    for (const [id, figures] of [['fuel.drain', ['2500']], ['fuel.flush_tank', ['2', '600']], ['fuel.flush_line', ['50']], ['fuel.dry', []], ['fuel.fresh', ['1000']]]) {
        for (const [number, figure] of figures.entries()) {
            await step(page, id).locator('form.act input:visible').nth(number).focus();
            await page.keyboard.type(figure);
        }
        await press(step(page, id).locator('form.act button'));
        await expect(step(page, id)).toHaveClass(/is-done/);
        if (id === 'fuel.dry') {
            await expect(page.locator('.waiting')).toContainText('Tank drying');
        }
    }
    // Filled, nobody waits for it to dry any more.
    await expect(page.locator('.waiting').filter({ hasText: 'Tank drying' })).toHaveCount(0);
    for (const [id, outcome] of [['fuel.smell', 'Fresh'], ['fuel.tank', 'Clean']]) {
        await press(step(page, id).getByRole('button', { name: outcome }));
        await expect(step(page, id)).toHaveClass(/is-done/);
    }
    await expect(page.locator('.step.is-open')).toHaveCount(0);
});

test('one step at a time, with one hand', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    const job = await takeIn(page, { label: 'Heronbill one-hand mower' });
    await page.goto(`${job}/now/path`);
    await expect(page.getByRole('heading', { name: 'Cap vent lever' })).toBeVisible();
    await page.getByRole('group', { name: 'Cap vent lever' }).getByRole('button', { name: 'On', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Cap seal' })).toBeVisible();
    await page.getByRole('link', { name: 'Next' }).click();
    await expect(page.getByRole('heading', { name: 'Fuel shutoff' })).toBeVisible();
    for (const button of await page.locator('.bench-mode .chip, .bench-mode .button').all()) {
        expect((await button.boundingBox()).height).toBeGreaterThanOrEqual(60);
    }
});

test('two people on one job see what the other found within a second or so; a page that nobody sees asks nothing', async ({ page, browser, baseURL }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Heronbill shared mower' });
    await page.goto(`${job}/stages/path`);
    const other = await (await browser.newContext({ baseURL })).newPage();
    await signIn(other, 'wim');
    await other.goto(`${job}/line/tap`);
    await other.getByRole('button', { name: 'Shut or blocked' }).click();
    await expect(other.locator('.saved')).toBeVisible();
    await expect(page.locator('#news')).toContainText('Fuel shutoff: Shut or blocked', { timeout: 2_500 });
    // One look after the other, none of them at a page that costs one.
    const asked = [];
    page.on('request', (request) => asked.push(new URL(request.url()).pathname));
    await page.waitForTimeout(2_000);
    expect(asked.length).toBeGreaterThan(0);
    expect(asked.filter((path) => !/^\/news\/[0-9a-f]{32}$/.test(path))).toEqual([]);
    await page.evaluate(() => Object.defineProperty(document, 'hidden', { value: true, configurable: true }));
    await page.waitForTimeout(900);
    asked.length = 0;
    await page.waitForTimeout(2_000);
    expect(asked).toEqual([]);
    await page.evaluate(() => Object.defineProperty(document, 'hidden', { value: false, configurable: true }));
    await page.locator('#news').getByRole('link', { name: 'Show it here' }).click();
    await expect(step(page, 'path.tap').getByRole('button', { name: 'Shut or blocked' })).toHaveAttribute('aria-pressed', 'true');
    await other.context().close();
});

test('a reading typed while the connection dies is kept, sent when it is back, and counted once', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Heronbill far-shed mower' });
    await page.goto(`${job}/gates`);
    await tap(page, 'Smell of the oil', 'Of gas');
    await page.goto(`${job}/stages/flush`);
    const drained = step(page, 'flush.drain').locator('form.act input:visible');
    await drained.fill('870');
    await page.reload();
    await expect(drained).toHaveValue('870');
    await expect(page.getByText('What you had typed here is back.')).toBeVisible();
    await page.context().setOffline(true);
    await step(page, 'flush.drain').locator('form.act button').click();
    await expect(page.locator('#offline')).toContainText('No connection');
    await page.context().setOffline(false);
    await expect(step(page, 'flush.drain').locator('.standing')).toHaveText(['Oil drained: 870 mL'], { timeout: 10_000 });
    await page.goto(`${job}/history`);
    await expect(page.getByText('Oil drained: 870 mL')).toHaveCount(1);
});
