import { test, expect, signIn, takeIn } from './shed.mjs';

test('from "it won\'t start" to the kill wire and on until it is proved', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Alderholm trimmer mower' });
    const first = page.locator('.suspects li').first();

    // An old hand types; what it may mean stands below, the first is taken by Enter.
    await page.goto(job);
    await page.keyboard.press('/');
    const line = page.getByLabel('In short');
    await expect(line).toBeFocused();
    await line.pressSequentially('oil level at; smell none; body normal; filter clean; pull norm; spark none');
    await expect(page.locator('.hit-list button').first()).toHaveText('Spark: None');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/likely/);
    await expect(first).toHaveAttribute('data-fault', 'spark.kill_grounded');

    // What each outcome would change, before it is made.
    const suggestion = page.locator('[data-next="spark.kill_wire_off"]');
    if (!(await suggestion.getAttribute('open') === '')) {
        await suggestion.locator('summary').first().click();
    }
    await suggestion.getByRole('link', { name: /^What each answer would change/ }).click();
    await expect(page.getByRole('row', { name: /^Strong/ })).toContainText('Kill circuit grounded');
    await page.getByRole('group', { name: 'Spark with the kill wire off' }).getByRole('button', { name: 'Strong' }).click();
    await expect(page.locator('.saved')).toContainText('Strong');

    // At the element of the line: one tap, and the rail shows it.
    await page.goto(job);
    const spark = page.getByRole('navigation', { name: 'The line' }).getByRole('link', { name: /Spark/ });
    await spark.click();
    await page.locator('#test-spark-stop_switch').getByRole('button', { name: 'Closed in RUN' }).click();
    // The station may be bad by what was found before: only this says that the tap has arrived.
    await expect(page.locator('.saved')).toContainText('losed in RUN');
    await expect(spark).toContainText('bad');
    await expect(first).toHaveAttribute('data-fault', 'spark.kill_grounded');

    // Read up, put right, look again, prove it.
    await page.goto(`${job}/likely`);
    await expect(page.locator('[data-cure="spark.kill_grounded"]')).toContainText('Find the ground');
    await page.locator('[data-cure="spark.kill_grounded"]').getByRole('link').click();
    await expect(page.getByText('No spark; spark returns with the kill wire off the coil.')).toBeVisible();
    await page.getByRole('button', { name: 'It is put right' }).click();
    await expect(page.locator('.saved')).toContainText('Put right: Kill circuit grounded');
    await page.getByLabel('In short').fill('spark.tester strong; start.plain runs; run.steady steady; run.choke_off steady; run.load holds; run.minutes_later keeps_running');
    await page.getByRole('button', { name: 'Record' }).click();
    await expect(page.locator('[data-proved]')).toBeVisible();

    await page.getByRole('link', { name: 'How belief moved' }).click();
    await expect(page.getByRole('img', { name: /Belief after each step: .*Kill circuit grounded/ })).toBeVisible();
    await expect(page.locator('tbody tr')).toHaveCount(7);
});

test('no shorthand goes past a gate, and what was typed stays', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Alderholm gate mower' });
    await page.goto(`${job}/likely`);
    await page.getByLabel('In short').fill('start.plain runs');
    await page.getByRole('button', { name: 'Record' }).click();
    await expect(page.getByText('Start is closed for now.')).toBeVisible();
    await page.goto(`${job}/likely`);
    await page.getByLabel('In short').fill('jet bl');
    await page.getByRole('button', { name: 'Record' }).click();
    await expect(page.getByRole('alert')).toContainText('may mean more than one thing');
    await expect(page.getByLabel('In short')).toHaveValue('jet bl');
});

test('the owner holds other odds and puts them back', async ({ page }) => {
    await signIn(page, 'odalys');
    await page.goto('/odds/faults/tank.cap_leaks');
    await page.getByLabel('on a machine that stood half a year').fill('30');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Every job is judged by it from now on.')).toBeVisible();
    await page.goto('/odds');
    const row = page.getByRole('row', { name: /Fuel cap leaks, How often it is met/ });
    await expect(row).toContainText('4 %');
    await expect(row).toContainText('30 %');
    await row.getByRole('button', { name: 'Put back' }).click();
    await expect(page.getByText('Nothing. All is as it ships.')).toBeVisible();
});
