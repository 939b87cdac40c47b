import { test, expect, signIn } from './shed.mjs';
import { Person } from '../attack/attack.mjs';

const [ODALYS, TAMSIN] = [1, 2];

test('of two owners who demote each other at once, one stays', async ({ baseURL }) => {
    test.setTimeout(120_000);
    const [odalys, tamsin] = [new Person(baseURL, 'odalys'), new Person(baseURL, 'tamsin')];
    const appoint = (by, whom, role, was) => by.ask(`/people/${whom}/role`, { method: 'POST', body: new URLSearchParams({ _token: by.token, request_key: crypto.randomUUID(), role, was }) });
    const isOwner = async (person) => {
        await person.signIn();
        return (await person.ask('/people')).status === 200;
    };
    await odalys.signIn();
    await appoint(odalys, TAMSIN, 'owner', 'technician');
    for (let round = 0; round < 4; round += 1) {
        await odalys.signIn();
        await tamsin.signIn();
        await Promise.all([appoint(odalys, TAMSIN, 'technician', 'owner'), appoint(tamsin, ODALYS, 'technician', 'owner')]);
        const stayed = [await isOwner(odalys), await isOwner(tamsin)];
        expect(stayed.filter(Boolean)).toHaveLength(1);
        await (stayed[0] ? appoint(odalys, TAMSIN, 'owner', 'technician') : appoint(tamsin, ODALYS, 'owner', 'technician'));
    }
    await odalys.signIn();
    await appoint(odalys, TAMSIN, 'technician', 'owner');
    expect([await isOwner(odalys), await isOwner(tamsin)]).toEqual([true, false]);
    // Who was demoted while appointing was signed out while saving; what they had sent is kept for them, and not for the next test.
    for (const person of [odalys, tamsin]) {
        await person.signIn();
        await person.ask('/kept');
    }
});

test('somebody invited chooses a password by the link, and is out at once when they leave', async ({ page, browser, baseURL }) => {
    await signIn(page, 'odalys');
    await page.goto('/people');
    await page.getByLabel('Name', { exact: true }).fill('Una Fairweather');
    await page.getByLabel('Signs in as').fill(`una${Date.now()}`);
    await page.getByRole('button', { name: 'Add them' }).click();
    const link = await page.locator('.one-time-link').innerText();
    const context = await browser.newContext({ baseURL });
    const hers = await context.newPage();
    await hers.goto(new URL(link).pathname);
    await hers.getByLabel('Your new password').fill('three ladders and a lamp');
    await hers.getByRole('button', { name: 'Choose it and go in' }).click();
    await expect(hers.getByRole('heading', { name: 'The shed' })).toBeVisible();
    await page.goto('/people');
    await page.getByRole('row', { name: /Una Fairweather/ }).last().getByRole('button', { name: 'Has left' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();
    await hers.goto('/');
    await expect(hers.getByLabel('Password')).toBeVisible();
    await context.close();
});

test('a wrong password is said on the page, with the name still in it', async ({ page }) => {
    await page.goto('/sign-in?to=/spec');
    await page.getByLabel('Name you sign in by').fill('wim');
    await page.getByLabel('Password').fill('not this one');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('Invalid credentials');
    await expect(page.getByLabel('Name you sign in by')).toHaveValue('wim');
    await page.getByLabel('Password').fill('never-pull-it-yet');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page).toHaveURL(/\/spec$/);
});
