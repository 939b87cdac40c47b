import { test, expect, firstStart, signIn, takeIn } from './shed.mjs';

/** What a sound machine shows, by test. */
const sound = {
    'look.oil_level': 'at_mark', 'look.oil_smell': 'none', 'look.oil_body': 'normal', 'look.oil_colour': 'clean', 'look.air_filter': 'clean', 'look.blade': 'true', 'look.controls': 'free', 'pump.state': 'turns', 'feel.pull': 'normal',
    'start.plain': 'runs', 'run.steady': 'steady', 'run.choke_off': 'steady', 'run.load': 'holds', 'run.minutes_later': 'keeps_running',
};

const control = (page, next) => (next in sound ? page.locator(`#chip-${next.replaceAll('.', '-')}-${sound[next]}`) : page.locator(`[data-act="${next}"]`).getByRole('button'));

/** Does the one thing the header names, where it leads, and says what it was; null when it is fit to go home. */
const doNext = async (page, job) => {
    // The page the last tap came back to names the next thing too, and often has it.
    const verdict = page.locator('.verdict[data-next]').first();
    let next = (await verdict.count()) ? await verdict.getAttribute('data-next') : '';
    if (next === '' || !(await control(page, next).count())) {
        await page.goto(job);
        if (await verdict.getAttribute('data-stand') === 'fit_to_go_home') {
            return null;
        }
        next = await verdict.getAttribute('data-next');
        // What can be tapped stands on the job's own page; to the rest it leads.
        if (!(await page.locator('[data-next-thing]').getByRole('button').count())) {
            await verdict.getByRole('link').first().click();
            await page.waitForURL((url) => url.pathname !== job);
        }
    }
    if (next === 'start.plain') {
        await firstStart(page, job, { pulls: 2 });
    } else if (next === 'jar.tank') {
        await page.getByText('No jar to draw').click();
        await page.getByRole('button', { name: 'The tank is empty' }).click();
    } else {
        await control(page, next).first().click();
    }
    await expect(page.locator('.saved').first()).toBeVisible();
    await expect(page.locator(`.verdict[data-next="${next}"]`)).toHaveCount(0);
    return next;
};

for (const kind of ['Mower', 'Ride-on mower', 'Snowblower', 'Generator', 'Inverter generator', 'Pressure washer', 'Two-stroke hand tool']) {
    test(`${kind.toLowerCase()}: by what is named next alone, from intake to fit to go home`, async ({ page }) => {
        test.setTimeout(90_000);
        await signIn(page);
        const job = await takeIn(page, { kind, label: `Next only, ${kind}` });
        const done = [];
        for (let next = await doNext(page, job); next !== null; next = await doNext(page, job)) {
            done.push(next);
            expect(done.length).toBeLessThan(25);
        }
        expect(new Set(done).size).toBe(done.length);
        expect(done.at(-1)).toBe('run.minutes_later');
        await page.getByRole('link', { name: 'Going home' }).click();
        await expect(page.getByText('It runs, holds a load and goes on')).toBeVisible();
        await page.getByRole('button', { name: 'Hand it back' }).click();
        await expect(page.locator('.verdict')).toContainText('Handed back');
        await page.goto(`${job}/sheet`);
        await expect(page.locator('.owners-sheet')).toContainText(`Next only, ${kind}: what was done`);
        await expect(page.locator('[data-section="next"]')).toContainText('To be woken');
    });
}

test('whoever tries to start it at every step is stopped until it may be', async ({ page }) => {
    test.setTimeout(120_000);
    await signIn(page);
    const job = await takeIn(page, { kind: 'Pressure washer', label: 'Too early every time' });
    let tries = 0;
    for (let next = ''; next !== 'start.plain'; ) {
        await page.goto(`${job}/tests/start.plain`);
        if (await page.locator('.note.is-shut').count()) {
            ++tries;
            await expect(page.locator('#chip-start-plain-runs')).toHaveCount(0);
        }
        next = await doNext(page, job);
    }
    expect(tries).toBeGreaterThan(8);
    // Something comes apart again: it is closed again, and goes home neither started nor silently.
    for (const act of ['bowl.off', 'bowl.cleaned']) {
        await page.goto(`${job}/line/bowl`);
        await page.locator(`[data-act="${act}"]`).getByRole('button').click();
        await expect(page.locator('.saved')).toBeVisible();
    }
    await page.goto(`${job}/tests/start.plain`);
    await expect(page.locator('.note.is-shut')).toContainText('First: Put the bowl on.');
    await page.goto(`${job}/line/crankcase`);
    await page.locator('[data-act="crankcase.drained"]').getByRole('button').click();
    await expect(page.locator('.saved')).toBeVisible();
    await page.goto(`${job}/hand-back`);
    await expect(page.locator('[data-refused]')).toContainText('Its crankcase is drained.');
    await expect(page.getByRole('button', { name: 'Hand it back' })).toHaveCount(0);
});
