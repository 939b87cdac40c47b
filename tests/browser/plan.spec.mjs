import { test, expect, signIn } from './shed.mjs';

test('what is begun on the card moves the plan, and what is recorded leaves it, on a phone', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page, 'wim');
    await page.goto('/plan');
    const card = page.locator('[data-card]');
    const start = card.getByRole('button', { name: 'Started' });
    await expect(start).toBeVisible();
    expect((await start.boundingBox()).y).toBeLessThan(420);
    await start.click();
    await expect(page.locator('body')).toContainText('The plan is being mended');
    // The plan is made once the answer has gone out.
    await expect.poll(async () => {
        await page.goto('/plan');
        return card.getByRole('heading').first().innerText();
    }, { timeout: 20_000 }).toContain('Under way');
    await card.getByText('Took longer').click();
    await Promise.all([page.waitForResponse((answer) => answer.url().endsWith('/longer')), card.getByRole('button', { name: '30 min more' }).click()]);
    await page.waitForLoadState('networkidle');
    await page.goto('/plan');
    await card.getByRole('button', { name: 'Done' }).click();
    await expect(page).toHaveURL(/\/jobs\/\d+$/);
    await expect(page.locator('body')).toContainText('Record what was done');
});

test('a bar is moved with the keys and with the mouse, and stays where it was put', async ({ page }) => {
    await page.setViewportSize({ width: 1280, height: 800 });
    await signIn(page);
    await page.goto('/plan');
    const day = page.getByRole('navigation', { name: 'Days' }).getByRole('link').last();
    await day.click();
    const bar = page.locator('[data-day-chart] [data-bar][tabindex]').first();
    const id = await bar.getAttribute('data-bar');
    await bar.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowDown');
    await expect(page.locator('[data-chart-says]')).toContainText('Enter sets it');
    await page.keyboard.press('Escape');
    await expect(bar).not.toHaveClass(/is-moved/);
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await expect(page.locator('body')).toContainText('The plan is being mended');
    const moved = page.locator(`[data-item="${id}"] .tag`, { hasText: 'set' });
    await expect.poll(async () => {
        await page.reload();
        return moved.count();
    }, { timeout: 20_000 }).toBe(1);
    const other = page.locator('[data-day-chart] [data-bar][tabindex]').nth(1);
    await other.scrollIntoViewIfNeeded();
    const box = await other.boundingBox();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 4 });
    await expect(other).toHaveClass(/is-moved/);
    await page.mouse.up();
    await expect(page.locator('body')).toContainText('The plan is being mended');
});
