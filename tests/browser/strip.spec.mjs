import { test, expect, expectAccessible, signIn, takeIn } from './shed.mjs';

const types = {
    'Two-stroke diaphragm': 'diaphragm',
    'Float bowl, brass jets': 'bowl_brass',
};

/** Takes off the part that is next, writing down what is asked of it. */
const off = async (page, place) => {
    const next = page.locator('[data-next]');
    const hole = next.locator('#off-hole');
    if (await hole.count()) {
        await hole.fill('outer');
    }
    await next.getByRole('button', { name: `Off, onto place ${place}` }).first().click();
    // Seen in the frame it comes in: two hundred taps are too many to be polled for.
    await page.locator(`[data-mat="${place}"]`).waitFor();
};

/** Takes every part off, in the order of the type; returns how many. */
const strip = async (page, job, label) => {
    await page.goto(`${job}/carburetor`);
    await page.getByRole('button', { name: label }).click();
    await expect(page.getByRole('heading', { name: label, level: 1 })).toBeVisible();
    let place = 0;
    while (await page.locator('[data-next="own"]').count() === 0) {
        place += 1;
        await off(page, place);
    }
    return place;
};

/** Puts back what lies on the mat, the last first, until so many are left. */
const refit = async (page, job, from, until = 0) => {
    await page.goto(`${job}/carburetor/refit`);
    for (let place = from; place > until; place -= 1) {
        await page.locator(`[data-next="${place}"]`).getByRole('button').click();
        await page.locator(`[data-next="${place}"]`).waitFor({ state: 'detached' });
    }
};

test('a diaphragm carburetor and one with a bowl come off and go back; a forgotten spring keeps the last one open', async ({ page }) => {
    test.setTimeout(300_000);
    await signIn(page);
    let job;
    for (const [label, type] of Object.entries(types)) {
        const isTwoStroke = type === 'diaphragm';
        job = await takeIn(page, { kind: isTwoStroke ? 'Two-stroke hand tool' : 'Mower', label: `Strip test ${type}` });
        const parts = await strip(page, job, label);
        expect(parts).toBeGreaterThan(20);
        await page.goto(`${job}/carburetor/map`);
        await expect(page.locator('.section-drawing')).toHaveAttribute('aria-label', /not tried/);
        await refit(page, job, parts, type === 'bowl_brass' ? 4 : 0);
    }

    // Everything but the throttle spring goes back on: the check is closed and says which, and so is the start.
    await page.goto(`${job}/carburetor/refit`);
    for (const place of [3, 2, 1]) {
        await page.locator(`[data-mat="${place}"] summary`).click();
        await page.locator(`[data-mat="${place}"]`).getByRole('button', { name: 'On before its turn' }).click();
        await expect(page.locator(`[data-mat="${place}"]`)).toHaveCount(0);
    }
    await page.goto(`${job}/carburetor/check`);
    await expect(page.locator('[data-left]')).toContainText('place 4, Throttle spring');
    await expect(page.getByRole('button', { name: /Close the ledger/ })).toHaveCount(0);
    await expect(page.locator('[data-apart]')).toContainText('no start and no run');
    await page.getByRole('link', { name: 'Put them back' }).click();
    await page.locator('[data-next="4"]').getByRole('button').click();
    await expect(page.locator('[data-next]')).toHaveCount(0);
    await page.goto(`${job}/carburetor/check`);
    const point = (id) => page.locator(`[data-check="${id}"]`);
    await point('drip_watch').getByRole('button', { name: 'Bowl', exact: true }).click();
    await expect(page.locator('.saved')).toContainText('Bowl');
    for (const [id, button] of [['drip_watch', 'None'], ['linkage', 'Right'], ['choke', 'Closes and opens'], ['breather_hose', 'It is so'], ['primer_hose', 'It is so'], ['filter_base', 'It is so'], ['kill_wire', 'It is so'], ['gaskets', 'It is so']]) {
        await point(id).getByRole('button', { name: button, exact: true }).click();
        await expect(point(id)).toHaveClass(/is-done/);
    }
    await expectAccessible(page);
    await page.getByRole('button', { name: /Close the ledger/ }).click();
    await expect(page.locator('.note.is-good').last()).toContainText('23 parts came off and went back');
});

test('a seat for the wrong feed is questioned until it is settled', async ({ page }) => {
    await signIn(page);
    await page.goto('/jobs/8/stages/needle');
    const bore = page.locator('[data-step="needle.bore"]');
    await bore.getByRole('button', { name: 'The smaller bore' }).click();
    await expect(bore.locator('[data-doubt]')).toContainText('a smaller bore starves it');
    await bore.getByRole('button', { name: 'The larger bore' }).click();
    await expect(bore.locator('[data-doubt]')).toHaveCount(0);
    await expect(bore).toContainText('done');
});
