import { execFileSync, spawnSync } from 'node:child_process';
import { test, expect, firstStart, signIn, takeIn } from './shed.mjs';

/** Past its gates, with fuel in it, by the sound answers. */
const ready = async (page, job) => {
    const found = { 'look.oil_level': 'at_mark', 'look.oil_smell': 'none', 'look.oil_body': 'normal', 'look.oil_colour': 'clean', 'look.air_filter': 'clean', 'look.blade': 'true', 'look.controls': 'free', 'feel.pull': 'normal', 'jar.tank': 'clear_one_layer', 'jar.smell': 'fresh' };
    await page.goto(job);
    const token = await page.locator('input[name="_token"]').first().inputValue();
    for (const [test, outcome] of Object.entries(found)) {
        const answer = await page.request.post(`${job}/findings`, { form: { _token: token, request_key: crypto.randomUUID(), test, outcome, back: 'job' }, maxRedirects: 0 });
        expect([200, 303], test).toContain(answer.status());
    }
};

const words = { warm_up: 'Warm-up begins', after_1: 'After one minute', after_3: 'After three minutes', after_5: 'After five minutes, warm', choke_helps: 'A little choke, while it surges' };

const say = async (page, step, what) => {
    const card = page.locator(`#step-prove-${step}`);
    if (await card.getAttribute('open') === null) {
        await card.locator('summary').first().click();
    }
    await card.getByRole('button', { name: what, exact: true }).click();
    await expect(page.locator('.saved')).toContainText(what === 'Done' || what === 'Done again' ? words[step] : `${words[step]}: ${what}`);
};

test('a cold surge that settles is proof, a lean one is not, on a phone', async ({ page }) => {
    test.setTimeout(90_000);
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    const job = await takeIn(page, { label: 'Surges when cold' });
    await ready(page, job);
    await firstStart(page, job, { pulls: 3 });
    await page.goto(`${job}/stages/prove`);
    await say(page, 'warm_up', 'Done');
    await say(page, 'after_1', 'Surges');
    await say(page, 'after_3', 'Surges');
    await say(page, 'after_5', 'Steady');
    const steady = page.locator('#step-prove-steady');
    if (await steady.getAttribute('open') === null) {
        await steady.locator('summary').first().click();
    }
    await expect(steady.locator('[data-surge="settles"]')).toBeVisible();
    await steady.getByRole('button', { name: 'Record it: surges cold, then settles' }).click();
    await expect(page.locator('.saved')).toContainText('urges cold, then settles');
    await expect(page.locator('.next-bar').first()).toContainText('Proving');

    // Listened to once more, it surges warm, and a little choke smooths it.
    await say(page, 'warm_up', 'Done again');
    await say(page, 'after_1', 'Surges');
    await say(page, 'after_5', 'Surges');
    await say(page, 'choke_helps', 'Smooths it');
    if (await steady.getAttribute('open') === null) {
        await steady.locator('summary').first().click();
    }
    await expect(steady.locator('[data-surge="lean"]')).toBeVisible();
    await steady.getByRole('button', { name: /^Record it: surges/ }).click();
    await expect(page.locator('.next-bar').first()).toContainText('Finding the cause');
});

test('a machine that comes back is known by its tag, and the shop is asked what was missed', async ({ page }, info) => {
    test.skip(spawnSync('zbarimg', ['--version']).error !== undefined, 'zbarimg is missing here (Debian: zbar-tools)');
    test.setTimeout(60_000);
    await signIn(page);
    const job = await takeIn(page, { label: 'Back again soon' });
    await page.goto(`${job}/tag`);
    const picture = info.outputPath('tag.png');
    await page.locator('svg.tag-qr').screenshot({ path: picture });
    const read = execFileSync('zbarimg', ['--quiet', '--raw', picture], { encoding: 'utf8' }).trim();
    await page.goto(`${job}/hand-back`);
    await page.getByLabel('Why it goes home as it is').fill('Only looked at');
    await page.getByRole('button', { name: 'Hand it back' }).click();
    await expect(page.getByText('Handed back', { exact: false }).first()).toBeVisible();

    await page.goto(read);
    await expect(page.getByRole('heading', { name: 'Back again soon' })).toBeVisible();
    await page.locator('#life-text').fill('Bowl screw from below, 10 mm');
    await page.getByLabel('About', { exact: true }).selectOption('access');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.locator('[data-note]')).toContainText('Bowl screw');
    await page.getByRole('link', { name: 'Take it in again' }).click();
    await expect(page.getByLabel('Name of the machine')).toHaveValue('Back again soon');
    await page.getByRole('button', { name: 'Take it in' }).click();
    await expect(page.locator('[data-comeback="asked"]')).toBeVisible();
    await page.getByLabel('What was missed').fill('The cap was never opened');
    await page.getByRole('button', { name: 'Yes, it came back' }).click();
    await expect(page.locator('[data-comeback="yes"]')).toContainText('The cap was never opened');
    await page.goto(job);
    await expect(page.locator('[data-came-back]')).toContainText('The cap was never opened');
});

test('a link opens the sheet without a sign-in until it is withdrawn, and an estimate is kept to', async ({ page, browser, baseURL }) => {
    test.setTimeout(60_000);
    await signIn(page);
    const job = await takeIn(page, { label: 'Sheet by link' });
    await page.goto(`${job}/money`);
    await page.getByLabel('Hardly less than, $').fill('20');
    await page.getByLabel('Hardly more than, $').fill('35');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByRole('button', { name: 'Agreed', exact: true }).click();
    await expect(page.locator('[data-estimate="approved"]')).toContainText('Agreed, up to $35.00');
    await page.getByLabel('What', { exact: true }).fill('Carburetor');
    await page.getByLabel('Each, $').fill('48');
    await page.getByRole('button', { name: 'Put it on' }).click();
    await expect(page.locator('[data-past]')).toContainText('Ask again');

    await page.goto(`${job}/sheet`);
    await page.locator('[data-fold="send"] > summary').click();
    await page.getByRole('button', { name: 'Make a link, good for 30 days' }).click();
    const link = await page.locator('[data-link] a').getAttribute('href');
    const stranger = await (await browser.newContext({ baseURL })).newPage();
    const opened = await stranger.request.get(link);
    expect(opened.status()).toBe(200);
    expect(opened.headers()['content-type']).toBe('application/pdf');
    expect((await stranger.request.get(job, { maxRedirects: 0 })).status()).toBe(303);
    await page.getByRole('button', { name: 'Withdraw' }).click();
    await expect(page.locator('[data-sent]')).toContainText('withdrawn');
    await stranger.goto(link);
    await expect(stranger.getByRole('heading', { name: 'This link has ended' })).toBeVisible();
    await stranger.context().close();
});
