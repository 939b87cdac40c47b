/*
 * Answers for the server when the line is dead: what the pages are made of, and every page of the shed as it was last seen
 * on this device. What is sent is none of its business; that waits in the outbox of the page.
 */
'use strict';

const SHELL = 'shell';
const pagesOf = (who) => `pages:${who}`;
const MOST_PAGES = 240;
/** How long a page is waited for when there is a kept one, and when there is none, in milliseconds. */
const PATIENCE = { kept: 4_000, none: 10_000 };
/** A page seen this lately, in milliseconds, is not fetched again ahead of its time. */
const FRESH = 600_000;
const PICTURE = /^\/photos\/\d+\/small\.jpg$/;
const NO_PAGE = '/no-line';
/** On a kept page, when it was seen: the page itself says it too. */
const SEEN_AT = 'X-Seen-At';

const withoutHash = (address) => address.split('#')[0];
/** Names of files carry a digest of what is in them; this is the name without it. */
const withoutDigest = (address) => address.replace(/-[\w-]{7}(\.\w+)$/, '$1');

const keptCache = async () => {
    const name = (await caches.keys()).find((one) => one.startsWith('pages:'));
    return name ? caches.open(name) : null;
};

/** Counts the wipings: what was asked for before one is not kept after it. */
let wipings = 0;
const forgetPages = async (but = '') => Promise.all((await caches.keys())
    .filter((name) => name.startsWith('pages:') && name !== but)
    .map((name) => caches.delete(name)));

const put = async (cache, address, response) => {
    await cache.delete(address);
    await cache.put(address, response);
    const keys = await cache.keys();
    await Promise.all(keys.slice(0, Math.max(0, keys.length - MOST_PAGES)).map((key) => cache.delete(key)));
};

/** Pages belong to whoever they were drawn for: one person's are on the device at a time, and at the door nobody's. */
const keepPage = async (address, text, asked) => {
    if (asked !== wipings || !text.includes('id="main"')) {
        return;
    }
    const who = /<body[^>]* data-who="(\d+)"/.exec(text)?.[1];
    if (who === undefined) {
        wipings += 1;
        await forgetPages();
        return;
    }
    await forgetPages(pagesOf(who));
    const at = new Date().toISOString();
    const page = text.replace('<main id="main"', `<main id="main" data-seen-at="${at}"`);
    const cache = await caches.open(pagesOf(who));
    if (asked !== wipings) {
        await forgetPages();
        return;
    }
    await put(cache, withoutHash(address), new Response(page, { headers: { 'Content-Type': 'text/html; charset=utf-8', [SEEN_AT]: at } }));
};

const isPage = (response) => response.ok && response.headers.get('Content-Type')?.startsWith('text/html')
    && response.headers.get('Content-Disposition') === null;

const asLastSeen = async (address) => {
    const cache = await keptCache();
    return cache === null ? undefined : await cache.match(withoutHash(address)) ?? await cache.match(withoutHash(address), { ignoreSearch: true });
};

const afterAWhile = (milliseconds) => new Promise((_, refuse) => {
    setTimeout(() => refuse(new Error('No answer.')), milliseconds);
});

const page = async (request, later) => {
    const kept = await asLastSeen(request.url);
    const when = wipings;
    const asked = fetch(request).then((response) => {
        if (isPage(response)) {
            // A page asked for by a link was sent on to where it is; under that address it is kept.
            const address = response.url || request.url;
            later(response.clone().text().then((text) => keepPage(address, text, when)).catch(() => {}));
        }
        return response;
    });
    later(asked.catch(() => {}));
    try {
        return await Promise.race([asked, afterAWhile(kept ? PATIENCE.kept : PATIENCE.none)]);
    } catch {
        return kept ?? await asLastSeen(new URL(NO_PAGE, request.url).href) ?? Response.error();
    }
};

/** What never changes under its address is asked for once. */
const once = async (request, kept, keep) => {
    if (kept) {
        return kept;
    }
    const response = await fetch(request);
    if (response.ok) {
        await keep(response.clone());
    }
    return response;
};

const shell = async (request) => {
    const cache = await caches.open(SHELL);
    return once(request, await cache.match(request), (response) => cache.put(request, response));
};

const picture = async (request) => once(request, await asLastSeen(request.url), async (response) => {
    const cache = await keptCache();
    return cache === null ? undefined : put(cache, request.url, response);
});

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('fetch', (event) => {
    const { request } = event;
    const address = new URL(request.url);
    if (request.method !== 'GET' || address.origin !== self.location.origin) {
        return;
    }
    if (address.pathname.startsWith('/assets/')) {
        event.respondWith(shell(request));
    } else if (PICTURE.test(address.pathname)) {
        event.respondWith(picture(request));
    // An edit is answered or not: the page as last seen would take what was typed along.
    } else if (request.mode === 'navigate' || (request.headers.get('HX-Boosted') === 'true' && !request.headers.has('Fields'))) {
        event.respondWith(page(request, (work) => event.waitUntil(work)));
    }
});

/** What a page that has arrived tells: what it is made of, what it became after a change, which pages to have ready. */
const told = {
    shell: async (addresses) => {
        const cache = await caches.open(SHELL);
        const names = addresses.map((address) => new URL(address, self.location.href).href);
        for (const { url } of await cache.keys()) {
            if (!names.includes(url) && names.some((name) => withoutDigest(name) === withoutDigest(url))) {
                await cache.delete(url);
            }
        }
        await Promise.all(names.map(async (name) => await cache.match(name) ?? cache.add(name)));
    },
    became: ({ address, text }) => keepPage(address, text, wipings),
    ahead: async (addresses) => {
        const when = wipings;
        for (const address of [NO_PAGE, ...addresses]) {
            const kept = await (await keptCache())?.match(new URL(address, self.location.href).href);
            if (kept === undefined || Date.now() - Date.parse(kept.headers.get(SEEN_AT)) > FRESH) {
                const response = await fetch(address);
                if (when !== wipings || !isPage(response) || new URL(response.url).pathname === '/sign-in') {
                    return;
                }
                await keepPage(response.url, await response.text(), when);
            }
        }
    },
    forget: () => {
        wipings += 1;
        return forgetPages();
    },
};

self.addEventListener('message', (event) => {
    for (const [what, about] of Object.entries(event.data)) {
        event.waitUntil(told[what]?.(about).catch(() => {}));
    }
});
