import { test as base, expect } from '@playwright/test';
import axe from 'axe-core';

export { expect };

const passwords = { odalys: 'barn-keys-on-the-hook', tamsin: 'tray-under-the-filler', wim: 'never-pull-it-yet' };

/** A page on which any script error, any refused resource and any request to another host fails the test. */
export const test = base.extend({
    page: async ({ page, baseURL }, use) => {
        const wrongs = [];
        page.on('pageerror', (error) => wrongs.push(`script: ${error.message}`));
        page.on('console', (message) => {
            if (message.type() === 'error' && !/status of (4\d\d|503)|htmx:(sendError|sendAbort|afterRequest|timeout)|ERR_INTERNET_DISCONNECTED|ERR_CONNECTION/.test(message.text())) {
                wrongs.push(`console: ${message.text()}`);
            }
        });
        page.on('request', (request) => {
            if (!request.url().startsWith(baseURL) && !request.url().startsWith('blob:')) {
                wrongs.push(`elsewhere: ${request.url()}`);
            }
        });
        await use(page);
        expect(wrongs).toEqual([]);
    },
});

/** What a browser of theirs remembers of a sign-in, by name: checking a password and the page before it take a second each time. */
const sessions = new Map();

/** Signs in, or goes on in the session of a test before, and arrives at the shed. Whoever is out meanwhile signs in anew. */
export const signIn = async (page, name = 'tamsin') => {
    if (sessions.has(name)) {
        await page.context().addCookies(sessions.get(name));
    }
    await page.goto(sessions.has(name) ? '/' : '/sign-in');
    if (new URL(page.url()).pathname === '/sign-in') {
        await page.getByLabel('Name you sign in by').fill(name);
        await page.getByLabel('Password').fill(passwords[name]);
        // How long that takes is asked below: checking a password takes its time on a machine that does other things as well.
        await page.getByRole('button', { name: 'Sign in' }).click({ noWaitAfter: true });
    }
    await expect(page.getByRole('heading', { name: 'The shed' })).toBeVisible({ timeout: 30_000 });
    sessions.set(name, await page.context().cookies());
};

/** Presses a chip that is a choice of a form. */
export const pick = (page, choice, role = 'radio') => page.getByRole(role, { name: choice, exact: true }).check();

/** Takes in a machine by clicking, and returns the address of its job. */
export const takeIn = async (page, { kind = 'Mower', label, idle = '8' } = {}) => {
    await page.goto('/take-in');
    await pick(page, kind);
    await page.getByLabel('Name of the machine').fill(label);
    await page.getByLabel('Customer', { exact: true }).fill('Cabin 3');
    await page.getByLabel('How long has it stood?').fill(idle);
    await page.getByRole('button', { name: 'Take it in' }).click();
    await expect(page.getByRole('heading', { name: label })).toBeVisible();
    return new URL(page.url()).pathname;
};

/** One gate, and one look of it, stands open at a time: opens those in which a look is. */
export const opened = async (page, look) => {
    const group = page.getByRole('group', { name: look, exact: true, includeHidden: true });
    await expect(group.first()).toBeAttached();
    if (!(await group.first().isVisible())) {
        const gate = page.locator('details.gate').filter({ has: group });
        if (await gate.count() > 0 && await gate.getAttribute('open') === null) {
            await gate.locator('summary').first().click();
        }
        const folded = page.locator('details.look').filter({ has: group });
        if (await folded.count() > 0 && await folded.getAttribute('open') === null) {
            await folded.locator('summary').first().click();
        }
    }
};

/** The first run of a job: what its kind wants ready, and a start with its pulls counted by taps. */
export const firstStart = async (page, job, { pulls = 1, outcome = 'Runs' } = {}) => {
    await page.goto(`${job}/stages/first_run`);
    const start = page.locator('#step-first_run-start');
    for (let steps = 0; steps < 8 && await start.getByText('closed', { exact: true }).count(); steps += 1) {
        const step = page.locator('.steps details[open]');
        const before = await step.getAttribute('id');
        await step.getByRole('button', { name: 'Done', exact: true }).click();
        await expect(page.locator('.steps details[open]')).not.toHaveAttribute('id', before);
    }
    if (await start.getAttribute('open') === null) {
        await start.locator('summary').first().click();
    }
    for (let pull = 0; pull < pulls; pull += 1) {
        await start.getByRole('button', { name: 'How many + 1' }).click();
    }
    await start.getByRole('button', { name: outcome, exact: true }).click();
    await expect(page.locator('.saved')).toContainText(pulls === 1 ? '1 pull' : `${pulls} pulls`);
};

/** Tabs until it, or something in it, has the cursor. @returns how many stops that took */
export const tabTo = async (page, target, most = 25) => {
    const hasCursor = () => target.evaluate((element) => element.contains(document.activeElement));
    for (let stops = 0; stops <= most; stops += 1) {
        if (await hasCursor()) {
            return stops;
        }
        await page.keyboard.press('Tab');
    }
    throw new Error(`Not within ${most} stops: ${target}`);
};

/** Taps an outcome of a look and waits until it stands. */
export const tap = async (page, look, outcome) => {
    const group = page.getByRole('group', { name: look, exact: true });
    await opened(page, look);
    await group.getByRole('button', { name: outcome, exact: true }).click();
    await expect(page.locator('.saved')).toContainText(`${look}: ${outcome}`);
};

/**
 * Nothing axe knows is wrong with the page as it is, nor, in the other looks, with its colors: the rest of a page is the
 * same in every look.
 */
export const expectAccessible = async (page, otherLooks = []) => {
    await page.evaluate(axe.source);
    const found = await page.evaluate(async (looks) => {
        const wrong = [];
        const ask = async (look, options) => {
            const { violations } = await window.axe.run(document, { resultTypes: ['violations'], ...options });
            wrong.push(...violations.map((one) => `${look}: ${one.id}: ${one.nodes.map((node) => node.target).join(' | ')}`));
        };
        await ask('as it is', { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] });
        for (const look of looks) {
            document.documentElement.dataset.look = look;
            await ask(look, { runOnly: { type: 'rule', values: ['color-contrast'] } });
        }
        return wrong;
    }, otherLooks);
    expect(found).toEqual([]);
};
