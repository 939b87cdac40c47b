import { execFileSync } from 'node:child_process';
import { test, expect, signIn, takeIn, pick } from './shed.mjs';

const verdict = (page) => page.locator('.verdict h2').first();

// The microphone is Chromium's stand-in for one, and what it hears is the stand-in for an engine.
const sound = 'var/engine.wav';
execFileSync('php', ['bin/console', 'shed:gauge', 'surge', `--sound=${sound}`]);
test.use({ launchOptions: async ({ launchOptions }, use) => use({ ...launchOptions, args: [...launchOptions.args, '--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream', `--use-file-for-fake-audio-capture=${process.cwd()}/${sound}`] }) });

test('the phone hears an engine hunt, and an ambiguous number is asked back', async ({ page }) => {
    await signIn(page);
    await page.goto('/traces/listen');
    await page.getByRole('button', { name: 'Record ten seconds' }).click();
    await expect(page.getByText(/Listening/)).toBeVisible();
    await expect(verdict(page)).toContainText('Hunts', { timeout: 25_000 });
    await expect(verdict(page)).toContainText('every 1.8');
    // Feet with a comma: asked, and a tap answers.
    await page.goto('/bench/compression');
    await page.getByLabel('Compression as read').fill('95');
    await page.getByLabel('The bench lies at').fill('5,280');
    await page.getByLabel('The bench lies at').press('Tab');
    await page.getByRole('button', { name: '5280', exact: true }).click();
    await expect(verdict(page)).toContainText('at sea level');
    await expect(page.getByLabel('The bench lies at')).toHaveValue('5280');
});

test('a photo is the graduated jar, by taps and by keys, and its figures go into the reading', async ({ page }) => {
    await signIn(page);
    const job = await takeIn(page, { label: 'Photographed mower' });
    await page.goto(`${job}/bench/jar-photo`);
    const picture = await page.evaluate(async () => {
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [600, 900];
        const pen = canvas.getContext('2d');
        for (const [color, from, to] of [['#998877', 0, 900], ['#e6c84a', 300, 700], ['#bbccdd', 700, 800]]) {
            pen.fillStyle = color;
            pen.fillRect(0, from, 600, to - from);
        }
        return canvas.toDataURL('image/png').split(',')[1];
    });
    await page.locator('#photo-file').setInputFiles({ name: 'jar.png', mimeType: 'image/png', buffer: Buffer.from(picture, 'base64') });
    const sheet = page.locator('.photo-sheet');
    for (const [height, next] of [[800, 'Edge between the layers'], [700, 'Surface of the fuel'], [300, 'A side of the jar, low']]) {
        const place = await sheet.evaluate((svg, y) => {
            svg.scrollIntoView({ block: 'center' });
            const point = new DOMPoint(300, y).matrixTransform(svg.getScreenCTM());
            return { x: point.x, y: point.y };
        }, height);
        await page.mouse.click(place.x, place.y);
        await expect(page.getByText(`Tap: ${next}`)).toBeVisible();
    }
    await expect(verdict(page)).toContainText(/The lower layer is (19|20)/);
    // A point is moved by keys, and the field follows.
    const edge = await page.getByRole('textbox', { name: 'Edge between the layers' }).inputValue();
    await page.locator('.photo-sheet g').nth(1).focus();
    await page.keyboard.press('Shift+ArrowUp');
    await expect(page.getByRole('textbox', { name: 'Edge between the layers' })).not.toHaveValue(edge);
    await page.getByRole('link', { name: 'Into the jar of the tank' }).click();
    await expect(page.locator('#layers_lower')).toHaveValue(/^(19|20|21)/);
});

test('the stopwatch fills one cup after the other, and pulls are counted by tap', async ({ page }) => {
    await signIn(page);
    await page.goto('/bench/flow-test');
    await page.getByRole('button', { name: /Start: First cup/ }).click();
    await page.waitForTimeout(2_200);
    await page.getByRole('button', { name: /Stop: First cup/ }).click();
    await expect(page.getByLabel('First cup, stopped after')).toHaveValue(/^2\.\d$/);
    await expect(page.getByRole('button', { name: /Start: Second cup/ })).toBeVisible();
    await page.goto('/bench/pull-log');
    for (const thrown of ['15 mL', '5 mL', '0 mL', '0 mL']) {
        await page.getByRole('button', { name: thrown, exact: true }).click();
    }
    await expect(page.getByLabel('Each pull threw')).toHaveValue('15; 5; 0; 0');
});
