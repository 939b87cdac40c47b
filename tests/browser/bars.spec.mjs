import { test, expect, signIn, takeIn, tabTo } from './shed.mjs';

/*
 * What a job costs the hand: taps and scrolling on a phone, and stops of the Tab key on a laptop. A tap is counted where
 * it is made, and scrolling where the next thing was not in view.
 */
const phone = { width: 390, height: 844 };

const hand = (page) => {
    const cost = { taps: 0, scrolled: 0 };
    return {
        cost,
        async tap(target) {
            await expect(target).toBeVisible();
            const before = await page.evaluate(() => window.scrollY);
            const box = await target.boundingBox();
            // Under the thumb's bar it cannot be hit.
            if (box.y < 60 || box.y + box.height > 780) {
                await page.evaluate((by) => window.scrollBy(0, by), box.y < 60 ? box.y - 100 : box.y + box.height - 740);
            }
            cost.scrolled += Math.abs(await page.evaluate(() => window.scrollY) - before);
            cost.taps += 1;
            await target.click();
        },
    };
};
const saved = (page, words) => expect(page.locator('.saved')).toContainText(words);

test.use({ viewport: phone });

test('taking a machine in takes six taps', async ({ page }) => {
    await signIn(page);
    const { cost, tap } = hand(page);
    await tap(page.getByRole('link', { name: 'Take in', exact: true }));
    await tap(page.locator('label.chip', { hasText: /^Mower$/ }));
    await tap(page.getByLabel('Name of the machine'));
    await page.keyboard.type('Tapped-in mower');
    await tap(page.getByLabel('Customer', { exact: true }));
    await page.keyboard.type('Cabin 3');
    await tap(page.getByLabel('How long has it stood?'));
    await page.keyboard.type('8');
    await tap(page.getByRole('button', { name: 'Take it in' }));
    await expect(page.locator('[data-next-thing]')).toBeVisible();
    expect(cost.taps).toBeLessThanOrEqual(6);
});

test('the gate of the oil takes six taps and half a screen of scrolling', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Tapped-through mower' });
    await page.goto(job);
    const { cost, tap } = hand(page);
    await tap(page.locator('.ways-about').getByRole('link', { name: /To the gates/ }));
    for (const [look, outcome] of [['Oil level', 'At the mark'], ['Smell of the oil', 'Of oil only'], ['Body of the oil', 'Like oil'], ['Color of the oil', 'Dark']]) {
        await tap(page.getByRole('group', { name: look, exact: true }).getByRole('button', { name: outcome, exact: true }));
        await saved(page, `${look}: ${outcome}`);
    }
    await expect(page.locator('#gate-oil .badge').first()).toContainText('passed');
    expect(cost.taps).toBeLessThanOrEqual(6);
    expect(cost.scrolled).toBeLessThanOrEqual(400);
});

test('from a job to the needle under pressure are two taps', async ({ page }) => {
    await signIn(page);
    await page.goto('/jobs/8');
    const { cost, tap } = hand(page);
    await page.getByRole('navigation', { name: 'The line' }).getByRole('link', { name: /Needle/ }).scrollIntoViewIfNeeded();
    await tap(page.getByRole('navigation', { name: 'The line' }).getByRole('link', { name: /Needle/ }));
    await tap(page.getByRole('link', { name: 'Needle and seat under pressure', exact: true }));
    await expect(page.getByRole('heading', { name: 'Needle and seat under pressure', level: 1 })).toBeVisible();
    expect(cost.taps).toBeLessThanOrEqual(2);
});

test('five parts come off in nine taps and half a screen of scrolling', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Tapped-apart mower' });
    await page.goto(`${job}/carburetor`);
    await page.getByRole('button', { name: 'Float bowl, brass jets' }).click();
    await expect(page.locator('#next-off')).toContainText('Next off');
    const { cost, tap } = hand(page);
    for (let place = 1; place <= 5; place += 1) {
        const hole = page.getByLabel('Which hole');
        if (await hole.count() > 0) {
            await tap(hole);
            await page.keyboard.type('upper');
        }
        await tap(page.getByRole('button', { name: `Off, onto place ${place}`, exact: true }).first());
        await expect(page.locator(`[data-mat="${place}"]`)).toBeVisible();
    }
    expect(cost.taps).toBeLessThanOrEqual(9);
    expect(cost.scrolled).toBeLessThanOrEqual(500);
});

test('a page of the bench is three screens at most, and its first tap on the first half of one', async ({ page }) => {
    test.setTimeout(90_000);
    await signIn(page);
    for (const view of ['/jobs/9', '/jobs/9/gates', '/jobs/9/fuel/tank', '/jobs/9/likely', '/jobs/9/stages', '/jobs/19/carburetor', '/jobs/19/carburetor/refit', '/jobs/19/carburetor/map']) {
        await page.goto(view);
        const { screens, first } = await page.evaluate(() => ({
            screens: document.documentElement.scrollHeight / window.innerHeight,
            first: [...document.querySelectorAll('main button, main input:not([type="hidden"]), main summary, main a.button')].filter((part) => part.checkVisibility()).map((part) => part.getBoundingClientRect().top).sort((a, b) => a - b)[0],
        }));
        expect(screens, `${view}, screens`).toBeLessThan(3.05);
        expect(first, `${view}, first tap`).toBeLessThan(420);
    }
});

test('every page can be read in a window of 320 pixels', async ({ page }) => {
    test.setTimeout(90_000);
    await signIn(page);
    await page.setViewportSize({ width: 320, height: 700 });
    for (const view of ['/', '/take-in', '/jobs/9', '/jobs/9/gates', '/jobs/9/fuel/tank', '/jobs/9/likely', '/jobs/9/stages', '/jobs/8/stages/flush', '/jobs/9/history', '/jobs/8/line/needle', '/jobs/19/carburetor?place=16', '/jobs/19/carburetor/refit', '/jobs/19/carburetor/map', '/bench', '/me', '/waste', '/oil', '/parts', '/spec', '/keys']) {
        await page.goto(view);
        expect(await page.evaluate(() => document.documentElement.scrollWidth), view).toBeLessThanOrEqual(320);
    }
});

test.describe('on a laptop, by keyboard', () => {
    test.use({ viewport: { width: 1280, height: 800 } });

    test('ten tasks are within twenty-five stops each', async ({ page }) => {
        test.setTimeout(120_000);
        await signIn(page);
        const job = await takeIn(page, { label: 'Tabbed-to mower' });
        const tasks = [
            ['find a machine', '/', (view) => view.getByRole('searchbox').or(view.locator('#find')).first()],
            ['take one in', '/', (view) => view.locator('main').getByRole('link', { name: 'Take in a machine' })],
            ['the next thing', job, (view) => view.locator('[data-next-thing] button').first()],
            ['to the gates', job, (view) => view.getByRole('link', { name: /To the gates/ })],
            ['a look at a gate', `${job}/gates`, (view) => view.locator('details[open] .chip').first()],
            ['the smell of the fuel', `${job}/fuel/tank`, (view) => view.locator('#card-look input:not([type=hidden])').first()],
            ['findings in short', `${job}/likely`, (view) => view.locator('#short-line')],
            ['the needle', `${job}/line/needle`, (view) => view.getByRole('link', { name: 'Needle and seat under pressure', exact: true })],
            ['a step of the work', `${job}/stages`, (view) => view.locator('[data-stage] a').first()],
            ['a part off', '/jobs/19/carburetor', (view) => view.getByRole('button', { name: /^Off, onto place/ }).first()],
        ];
        for (const [task, address, target] of tasks) {
            await page.goto(address);
            // The first link leads past what every page has.
            await page.keyboard.press('Tab');
            await page.keyboard.press('Enter');
            const stops = await tabTo(page, target(page));
            expect(stops, task).toBeLessThanOrEqual(25);
        }
    });
});
