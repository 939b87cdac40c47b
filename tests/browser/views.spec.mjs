import { execFileSync } from 'node:child_process';
import { test, expect, signIn, takeIn, expectAccessible } from './shed.mjs';
import { views } from './pages.mjs';


/** The views with the most color in them, for what hangs on the look or the size alone. */
const drawn = ['/', '/jobs/9', '/jobs/9/gates', '/jobs/9/fuel/tank', '/traces/1', '/jobs/8/likely', '/jobs/19/carburetor/map'];

test('the pages before the door are accessible', async ({ page }) => {
    for (const view of ['/sign-in', '/lost-password']) {
        await page.goto(view);
        await expectAccessible(page);
    }
});

const parts = 3;
for (let part = 0; part < parts; part += 1) {
    test(`every view is accessible in all three looks, part ${part + 1} of ${parts}`, async ({ page }) => {
        test.setTimeout(240_000);
        await signIn(page, 'odalys');
        for (const view of views.filter((_, at) => at % parts === part)) {
            await test.step(view, async () => {
                await page.goto(view);
                await expectAccessible(page, ['dark', 'sunlight']);
            });
        }
    });
}

test('the views are all the pages there are', () => {
    const routes = JSON.parse(execFileSync('php', ['bin/console', 'debug:router', '--format=json'], { encoding: 'utf8' }));
    // What is no page of its own, or stands before the door, or only for a moment.
    const others = /^(_|kept$|second_factor$|sign_in$|lost_password$|welcome$|own_password$|first_owner$|short_hits$|job_news$|health$|manifest$|photo$|trace_live$|case_export$|case_schema$|spec_schema$|spec_export$|owner_export$|shop_export$|fuel_drawing$|job_line$|trace_drawing$|job_paper_pdf$|sheet_copy$|sheet_open$|letter$|machine_days$|calendar_feed$|plan_svg$|plan_feed_read$|.*_csv$)/;
    const unseen = Object.entries(routes).filter(([name, route]) => /GET|ANY/.test(route.method) && !others.test(name)).filter(([, route]) => {
        const pattern = new RegExp(`^${route.path.replace(/\{!?\w+\}/g, '[^/]+')}$`);
        return !views.some((view) => pattern.test(view.split('?')[0]));
    }).map(([name]) => name);
    expect(unseen).toEqual([]);
});

/** What is set smaller than 14 pixels on the screen, drawings included. */
const tinyText = (page) => page.evaluate(() => {
    const found = [];
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (texts.nextNode()) {
        const holder = texts.currentNode.parentElement;
        const drawing = holder.closest('svg');
        // A drawing shrinks its own type with itself.
        const scale = drawing?.viewBox.baseVal.width ? drawing.getBoundingClientRect().width / drawing.viewBox.baseVal.width : 1;
        if (texts.currentNode.data.trim() && holder.checkVisibility() && parseFloat(getComputedStyle(holder).fontSize) * scale < 13.5) {
            found.push(texts.currentNode.data.trim());
        }
    }
    return found;
});

test('no view is wider than a small phone, nor at twice the size, and no type too small to read on one', async ({ page }) => {
    test.setTimeout(120_000);
    await signIn(page, 'odalys');
    for (const [width, height, shown] of [[360, 740, views], [640, 400, drawn]]) {
        await page.setViewportSize({ width, height });
        for (const view of shown) {
            await page.goto(view);
            expect(await page.evaluate(() => document.documentElement.scrollWidth), view).toBeLessThanOrEqual(width);
            if (shown === views) {
                await page.setViewportSize({ width: 390, height });
                expect(await tinyText(page), view).toEqual([]);
                await page.setViewportSize({ width, height });
            }
        }
    }
});

test('what a thumb has to hit is 44 pixels high', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    for (const view of ['/', '/jobs/9/gates', '/jobs/9/fuel/tank', '/take-in', '/bench/repair', '/traces/needle', '/spec/1', '/jobs/8/likely', '/jobs/8/line/bowl', '/jobs/19/carburetor?place=16', '/jobs/19/carburetor/map']) {
        await page.goto(view);
        const small = await page.$$eval('main button, main .chip, main .button, main .input, main summary', (parts) =>
            parts.filter((part) => part.offsetParent && part.getBoundingClientRect().height < 43.5).map((part) => part.outerHTML.slice(0, 80)));
        expect(small, view).toEqual([]);
    }
});

test('a first visit weighs at most 110 kB and the next 40 kB', async ({ page }) => {
    await page.goto('/sign-in');
    await signIn(page);
    const weigh = async (address) => {
        const client = await page.context().newCDPSession(page);
        await client.send('Network.enable');
        let bytes = 0;
        client.on('Network.loadingFinished', (event) => { bytes += event.encodedDataLength; });
        await page.goto(address, { waitUntil: 'networkidle' });
        await client.detach();
        return bytes;
    };
    const client = await page.context().newCDPSession(page);
    await client.send('Network.clearBrowserCache');
    expect(await weigh('/jobs/13')).toBeLessThan(110_000);
    for (const view of ['/', '/jobs/13', '/jobs/13/gates', '/jobs/13/fuel/tank']) {
        expect(await weigh(view), view).toBeLessThan(40_000);
    }
});

test('the line is the way through a job: a rail beside its pages, a strip above them on a phone', async ({ page }) => {
    await signIn(page);
    await page.goto('/jobs/9');
    const rail = page.getByRole('navigation', { name: 'The line' });
    await expect(rail.getByRole('link')).toHaveCount(20);
    await expect(rail.getByRole('link', { name: /Tank/ })).toContainText('bad');
    await rail.getByRole('link', { name: /Crankcase/ }).click();
    await expect(page).toHaveURL(/line\/crankcase/);
    await expect(page.getByRole('heading', { name: 'Crankcase', level: 1 })).toBeVisible();
    await expect(rail.getByRole('link', { name: /Crankcase/ })).toHaveAttribute('aria-current', 'page');
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto('/jobs/9/likely');
    await expect(rail.getByRole('link')).toHaveCount(20);
    expect((await rail.boundingBox()).height).toBeLessThan(60);
    expect((await page.locator('.shed-top').boundingBox()).height).toBeLessThanOrEqual(53);
});

test('what was saved and its undo stay in view, on a phone and on a laptop', async ({ page }) => {
    test.setTimeout(120_000);
    await signIn(page);
    const job = await takeIn(page, { label: 'Undo in view mower' });
    await page.locator('[data-next-thing] button').first().click();
    await expect(page.locator('.saved')).toContainText('Oil level');
    for (const size of [{ width: 390, height: 844 }, { width: 1280, height: 800 }]) {
        await page.setViewportSize(size);
        for (const [where, button] of [['/gates', 'details.look[open] .chip'], ['/line/tap', '#chip-look-tap-open_and_flows'], ['/line/bowl', '#chip-leak-static-none'], ['/tests/look.tank', '#chip-look-tank-clean'], ['/now/path', '.bench-mode .chip']]) {
            await page.goto(job + where);
            const tapped = page.locator(button).first();
            await tapped.scrollIntoViewIfNeeded();
            await tapped.click();
            await expect(page.locator('.saved')).toBeVisible();
            const undo = await page.locator('.saved').getByRole('button', { name: 'Undo' }).boundingBox();
            expect(undo.y, `${where} at ${size.width}`).toBeGreaterThanOrEqual(0);
            expect(undo.y + undo.height, `${where} at ${size.width}`).toBeLessThanOrEqual(size.height);
        }
    }
});

test('nothing runs out at the side on a phone, and no line is too long on a laptop', async ({ page }) => {
    test.setTimeout(120_000);
    await signIn(page);
    const main = ['/', '/take-in', '/jobs/9', '/jobs/9/gates', '/jobs/9/fuel/tank', '/jobs/9/likely', '/jobs/9/stages', '/jobs/9/history', '/jobs/19/carburetor', '/jobs/19/carburetor/refit', '/jobs/19/carburetor/map'];
    for (const view of main) {
        await page.setViewportSize({ width: 390, height: 844 });
        await page.goto(view);
        expect(await page.evaluate(() => document.documentElement.scrollWidth), `${view} sideways`).toBeLessThanOrEqual(390);
        await page.setViewportSize({ width: 1280, height: 800 });
        await page.goto(view);
        const long = await page.evaluate(() => [...document.querySelectorAll('main p, main li, main dd, main td')].flatMap((block) => [...block.childNodes].filter((node) => {
            if (node.nodeType !== Node.TEXT_NODE || node.data.trim().length < 60) {
                return false;
            }
            const range = document.createRange();
            range.selectNodeContents(node);
            const lines = range.getClientRects().length;
            return lines > 0 && node.data.trim().length / lines > 90;
        }).map((node) => node.data.trim())));
        expect(long, `${view} long lines`).toEqual([]);
    }
});

test('single letters lead about, unless they are switched off', async ({ page }) => {
    await signIn(page);
    await page.goto('/jobs/9');
    await page.keyboard.press('g');
    await expect(page).toHaveURL(/gates/);
    const switchKeys = async (choice) => {
        await page.goto('/me');
        await page.getByRole('group', { name: 'Single-letter keys' }).getByRole('radio', { name: choice, exact: true }).check();
        await page.getByRole('button', { name: 'Save', exact: true }).click();
        await expect(page.getByText('Saved.')).toBeVisible();
    };
    await switchKeys('Off');
    await page.goto('/jobs/9');
    await page.keyboard.press('g');
    await page.waitForTimeout(300);
    await expect(page).toHaveURL(/jobs\/9$/);
    await switchKeys('On');
});

test('on a phone the first machine, and the taps of the next thing, are on the first half of the screen', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    await page.goto('/');
    expect((await page.locator('.shed-row').first().boundingBox()).y).toBeLessThan(420);
    // What is wanted less often opens over the bar, and closes again.
    await expect(page.getByRole('link', { name: 'Oil', exact: true })).toBeHidden();
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('link', { name: 'Oil', exact: true }).click();
    await expect(page).toHaveURL(/\/oil/);
    // Nothing lies over the button that takes a machine in.
    await takeIn(page, { label: 'Taken in by thumb' });
    for (const job of [2, 6, 9]) {
        await page.goto(`/jobs/${job}`);
        const tap = page.locator('[data-next-thing] button').first();
        const box = await tap.boundingBox();
        expect(box.y, `job ${job}`).toBeLessThan(420);
        expect(box.height).toBeGreaterThanOrEqual(60);
        expect(box.width).toBeGreaterThanOrEqual(88);
    }
});
