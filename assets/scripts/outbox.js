/*
 * What was sent into a dead line waits on this device, in order, each under its own request key, until the server has
 * answered: over reload, link and restart. It says at its place that it is not sent yet, and there too why it was refused.
 */
(() => {
    'use strict';

    const words = document.body.dataset;
    const { who, storage, read, write, isKey, isToken, isSignIn, freshKey, freshKeys, drop, fill } = window.drafts;
    const outboxKey = `outbox:${who}`;
    const refusedKey = `refused:${who}`;
    const outbox = () => read(outboxKey, []);
    const refused = () => read(refusedKey, []);
    const banner = document.getElementById('offline');

    // --- Pictures wait in a store of their own, put there when they are chosen: who leaves the page leaves no time for it.

    const SHELF = `outbox-${who}`;
    const shelf = () => new Promise((resolve, refuse) => {
        const opening = indexedDB.open(SHELF, 1);
        opening.onupgradeneeded = () => opening.result.createObjectStore('files');
        opening.onsuccess = () => resolve(opening.result);
        opening.onerror = () => refuse(opening.error);
    });
    const withFiles = async (mode, work) => {
        const open = await shelf();
        try {
            const transaction = open.transaction('files', mode);
            const asked = work(transaction.objectStore('files'));
            await new Promise((resolve, refuse) => {
                transaction.oncomplete = resolve;
                transaction.onabort = () => refuse(transaction.error);
            });
            return asked.result;
        } finally {
            open.close();
        }
    };
    const laidBy = new WeakMap();
    const layBy = async (input) => {
        for (const file of input.files) {
            const id = freshKey();
            try {
                await withFiles('readwrite', (files) => files.put(file, id));
                laidBy.set(file, id);
            } catch {
                return; // No room: then the picture stays on the page and is sent again from there.
            }
        }
    };
    const isFile = (value) => typeof value === 'object';
    const throwAwayFiles = (item) => item.fields.forEach(([, value]) =>
        isFile(value) && withFiles('readwrite', (files) => files.delete(value.id)).catch(() => {}));
    document.addEventListener('change', (event) => {
        if (event.target.matches?.('#main input[type="file"]')) {
            layBy(event.target);
        }
    });

    // --- What waits, in words, at its place

    const isFormal = (name) => isToken(name) || /(^|\[)(request_key|based_on)\]?$|^(back|gate|standing)$/.test(name);
    const textOf = (element) => (element?.textContent ?? '').replace(/\s+/g, ' ').trim();
    const nameOf = (field) => field.closest('[role="group"]')?.getAttribute('aria-label')
        ?? textOf(field.closest('fieldset')?.querySelector('legend'))
        ?? '';
    const inWords = (form, fields) => {
        const said = fields.filter(([name]) => !isFormal(name)).map(([name, value]) => {
            if (isFile(value)) {
                return value.name;
            }
            const same = [...form.elements].filter((field) => field.name === name);
            const button = same.find((field) => field.type === 'submit' && field.value === value);
            if (button) {
                return [nameOf(button), textOf(button)].filter(Boolean).join(': ');
            }
            const choice = same.find((field) => ['checkbox', 'radio'].includes(field.type) && field.value === value);
            const field = choice ?? same.find((one) => one.type !== 'hidden');
            if (!field || value === '') {
                return '';
            }
            const label = textOf(field.labels?.[0]);
            return choice ? [nameOf(choice), label].filter(Boolean).join(': ') : [label, value].filter(Boolean).join(': ');
        }).filter(Boolean);
        return said.length > 0 ? said.join(' · ') : textOf(form.querySelector('button'));
    };

    const pathOf = (address) => {
        const { pathname, search } = new URL(address || location.href, location.href);
        return pathname + search;
    };
    /** The form an item came from, if this page has it: of the same address, and about the same. */
    const placeOf = (item) => {
        const path = (form) => pathOf(form.getAttribute('action') ?? '');
        const isSame = (form) => [...form.elements].every((field) => field.type !== 'hidden' || !field.name || isFormal(field.name)
            || item.fields.some(([name, value]) => name === field.name && value === field.value));
        return [...document.querySelectorAll('#main form[method="post"]')].find((form) => path(form) === item.path && isSame(form));
    };
    const button = (text, work) => {
        const element = document.createElement('button');
        element.type = 'button';
        element.className = 'button is-small';
        element.textContent = text;
        element.addEventListener('click', work);
        return element;
    };
    const throwAway = (item) => {
        throwAwayFiles(item);
        write(refusedKey, refused().filter((one) => one.id !== item.id));
        show();
    };
    const line = (text, tone) => {
        const paragraph = document.createElement('p');
        paragraph.className = tone;
        paragraph.append(`${text} `);
        return paragraph;
    };
    const asRefused = (item, form) => {
        const said = line(`${words.wordsRefused} ${item.why} ${item.said}`, 'note is-bad');
        if (form) {
            said.append(button(words.wordsPutBack, () => {
                fill(form, item.fields.filter(([name, value]) => !isFile(value) && !isFormal(name))
                    .map(([name, value]) => [name, value, [...form.elements].some((field) => field.name === name && ['checkbox', 'radio'].includes(field.type)) ? true : null]));
                // Kept like anything typed: the page may be asked for anew while others of the outbox are saved.
                form.querySelector('input')?.dispatchEvent(new Event('input', { bubbles: true }));
                form.closest('details')?.setAttribute('open', '');
                throwAway(item);
                form.querySelector('input:not([type="hidden"]), button')?.focus();
            }), ' ');
        } else if (item.page) {
            const link = document.createElement('a');
            link.href = item.page;
            link.textContent = words.wordsItsPage;
            said.append(link, ' ');
        }
        said.append(button(words.wordsThrowAway, () => throwAway(item)));
        return said;
    };

    const retried = new Map();
    const show = () => {
        document.querySelectorAll('[data-not-sent]').forEach((note) => note.remove());
        banner.replaceChildren();
        const say = (text) => banner.append(line(text, ''));
        // What stands in for a page never seen says so itself.
        if (document.getElementById('main').dataset.seenAt && !document.getElementById('seen-jobs')) {
            const seen = new Date(document.getElementById('main').dataset.seenAt);
            say(words.wordsSeen.replace('%when%', seen.toLocaleString(document.documentElement.lang, { weekday: 'short', hour: '2-digit', minute: '2-digit' })));
        }
        if (outbox().length > 0) {
            say(words.wordsOffline.replace('%count%', String(outbox().length)));
        }
        if (retried.size > 0) {
            say(words.wordsStay);
        }
        for (const item of outbox()) {
            const note = line(`${words.wordsNotSent} ${item.said}`, 'note is-ask');
            note.dataset.notSent = '';
            placeOf(item)?.after(note);
        }
        for (const item of refused()) {
            const form = placeOf(item);
            const said = asRefused(item, form);
            if (form) {
                said.dataset.notSent = '';
                form.after(said);
            } else {
                banner.append(said);
            }
        }
        banner.hidden = banner.childElementCount === 0;
    };

    // --- Into it

    // A field for files into which none was put.
    const isNoFile = (value) => value instanceof File && value.size === 0;
    const keep = (form, config) => {
        const sent = [...config.formData.entries()].filter(([, value]) => !isNoFile(value));
        if (form.querySelector('[type="password"]') || sent.some(([, value]) => value instanceof File && !laidBy.has(value))) {
            return false;
        }
        const fields = sent.map(([name, value]) => [name, value instanceof File ? { id: laidBy.get(value), name: value.name } : value]);
        const id = fields.find(([name]) => isKey({ name }))?.[1];
        // What was tapped again while it waits is the same: under its key it is sent once.
        const isKept = outbox().some((item) => item.id !== undefined && item.id === id)
            || write(outboxKey, [...outbox(), { id, path: pathOf(config.path), page: pathOf(''), said: inWords(form, fields), fields, tries: 0 }]);
        if (isKept) {
            drop(form);
            if (fields.some(([, value]) => isFile(value))) {
                form.reset();
            }
            // What is tapped next on this page, which still stands, is another entry.
            freshKeys(form);
        }
        return isKept;
    };

    // --- And out of it

    const bodyOf = async (item) => {
        // The token is of this session; what waits may be of an earlier one.
        const fields = await Promise.all(item.fields.map(async ([name, value]) => [name, isFile(value)
            ? new File([await withFiles('readonly', (files) => files.get(value.id))], value.name)
            : isToken(name) ? words.token : value]));
        if (!fields.some(([, value]) => isFile(value))) {
            return new URLSearchParams(fields);
        }
        const body = new FormData();
        fields.forEach(([name, value]) => body.append(name, value));
        return body;
    };
    const PATIENCE = { words: 10_000, pictures: 120_000 };
    let sending = false;
    let leaving = false;
    const flush = async () => {
        if (sending || leaving || who === '' || outbox().length === 0) {
            return;
        }
        sending = true;
        let saved = 0;
        try {
            for (let next = outbox()[0]; next !== undefined; next = outbox()[0]) {
                const body = await bodyOf(next);
                const patience = body instanceof FormData ? PATIENCE.pictures : PATIENCE.words;
                const answer = await fetch(next.path, { method: 'POST', body, headers: { 'HX-Request': 'true' }, signal: AbortSignal.timeout(patience) });
                if (leaving) {
                    return;
                }
                if (isSignIn(answer.url)) {
                    banner.hidden = false;
                    break;
                }
                if (answer.status >= 500 && next.tries < 4) {
                    write(outboxKey, [{ ...next, tries: next.tries + 1 }, ...outbox().slice(1)]);
                    break;
                }
                if (answer.ok) {
                    saved += 1;
                    throwAwayFiles(next);
                } else {
                    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
                    const why = textOf(page.querySelector('#main .note.is-bad, #main .error') ?? page.querySelector('#main h1'));
                    write(refusedKey, [...refused(), { ...next, why }].slice(-20));
                }
                write(outboxKey, outbox().slice(1));
            }
        } catch {
            // Still no line: everything stays where it is.
        }
        sending = false;
        show();
        if (saved > 0) {
            htmx.ajax('GET', location.pathname + location.search, { source: document.body });
        }
    };
    window.addEventListener('online', flush);
    setInterval(flush, 5000);

    const isChange = (event) => event.detail.requestConfig?.verb === 'post';
    // Pictures take their time on a poor line.
    document.addEventListener('htmx:configRequest', (event) => {
        if ([...event.detail.formData?.values() ?? []].some((value) => value instanceof File && value.size > 0)) {
            event.detail.timeout = PATIENCE.pictures;
        }
    });
    // The session has ended, and the server does not know this device: then it waits here for the next sign-in.
    document.addEventListener('htmx:beforeSwap', (event) => {
        const form = event.detail.requestConfig?.elt.closest?.('form');
        const address = event.detail.xhr.responseURL;
        if (form && isChange(event) && isSignIn(address) && !address.includes('kept=1')) {
            keep(form, event.detail.requestConfig);
        }
    });
    // Behind what waits already, the next waits too: the record keeps the order of the hands.
    document.addEventListener('htmx:beforeRequest', (event) => {
        const form = event.detail.elt.closest?.('form');
        if (form && isChange(event) && outbox().length > 0 && keep(form, event.detail.requestConfig)) {
            event.preventDefault();
            show();
            flush();
        }
    });
    const patience = new WeakMap();
    const underWay = new Map();
    // Whoever leaves the page while an answer is still out takes it along: under its key it is recorded once either way.
    window.addEventListener('pagehide', () => underWay.forEach(([form, config]) => keep(form, config)));
    document.addEventListener('htmx:beforeSend', (event) => {
        const form = event.detail.elt.closest?.('form');
        if (form && isChange(event)) {
            underWay.set(event.detail.xhr, [form, event.detail.requestConfig]);
            patience.set(event.detail.xhr, setTimeout(() => {
                banner.textContent = words.wordsPatience;
                banner.hidden = false;
            }, 2500));
        }
    });
    document.addEventListener('htmx:afterRequest', (event) => {
        underWay.delete(event.detail.xhr);
        if (patience.has(event.detail.xhr)) {
            clearTimeout(patience.get(event.detail.xhr));
            show();
        }
    });
    // An edit that got no answer is asked once more when the line is back. What stands beside it is the answer to other figures.
    const unanswered = new Set();
    const leaveUnanswered = (form) => {
        unanswered.add(form);
        // As an answer would: whoever reloads finds what was typed.
        history.replaceState(history.state, '', `${location.pathname}?${new URLSearchParams(new FormData(form))}`);
        const main = document.getElementById('main');
        main.dataset.unanswered = '';
        main.querySelector('.verdict').className = 'verdict is-tone-plain';
        main.querySelector('.verdict h2').textContent = words.wordsUnanswered;
        document.getElementById('heard').textContent = words.wordsUnanswered;
    };
    document.addEventListener('htmx:afterSwap', (event) => {
        if (event.target.id === 'calc-answer') {
            unanswered.clear();
            delete document.getElementById('main').dataset.unanswered;
            // It came over the line, whatever the rest of the page came from.
            delete document.getElementById('main').dataset.seenAt;
            show();
        }
    });
    const onDeadLine = (event) => {
        const form = event.detail.elt.closest?.('form');
        if (form?.matches('.calc-form')) {
            leaveUnanswered(form);
        }
        if (!form || !isChange(event)) {
            return;
        }
        form.removeAttribute('aria-busy');
        if (!keep(form, event.detail.requestConfig)) {
            // A password belongs into no outbox, and a picture for which there was no room is only here: the form stays, and is sent again.
            retried.set(form, form.tapped);
        }
        show();
    };
    document.addEventListener('htmx:sendError', onDeadLine);
    document.addEventListener('htmx:timeout', onDeadLine);
    document.addEventListener('submit', (event) => {
        event.target.tapped = event.submitter;
    }, true);
    setInterval(() => {
        const asked = [...unanswered].filter((form) => form.isConnected);
        unanswered.clear();
        asked.forEach((form) => form.requestSubmit());
        const again = [...retried].filter(([form]) => form.isConnected);
        retried.clear();
        if (again.length > 0) {
            show();
        }
        for (const [form, tapped] of again) {
            form.requestSubmit(tapped ?? undefined);
        }
    }, 5000);

    // --- The pages as last seen, which the worker keeps

    const tell = (what) => navigator.serviceWorker?.controller?.postMessage(what);
    const introduce = () => tell({
        shell: performance.getEntriesByType('resource').map((one) => new URL(one.name)).filter((one) => one.pathname.startsWith('/assets/')).map((one) => one.href),
        ahead: [...new Set([...document.querySelectorAll('a[data-ahead]')].slice(0, 40).map((link) => link.href.split('#')[0]))],
    });
    if (who !== '' && navigator.serviceWorker) {
        navigator.serviceWorker.register(words.worker, { scope: '/' }).catch(() => {}); // Without one the pages work as long as the line does.
        // The page that was open when the worker came did not pass through it.
        navigator.serviceWorker.addEventListener('controllerchange', () => {
            introduce();
            tell({ ahead: [location.href.split('#')[0]] });
        });
    }
    /** On the page that stands in for one never seen here: the jobs that were. */
    const listSeen = async (list) => {
        const cache = await caches.open(`pages:${who}`);
        const seen = (await cache.keys()).filter(({ url }) => /^\/jobs\/\d+$/.test(new URL(url).pathname));
        for (const { url } of seen) {
            const page = new DOMParser().parseFromString(await (await cache.match(url)).text(), 'text/html');
            const link = document.createElement('a');
            link.href = url;
            link.textContent = page.title.split(' · ')[0];
            const item = document.createElement('li');
            item.append(link);
            list.append(item);
        }
    };
    document.addEventListener('htmx:afterOnLoad', (event) => {
        if (isChange(event) && event.detail.xhr.status === 200) {
            tell({ became: { address: event.detail.xhr.responseURL, text: event.detail.xhr.responseText } });
        }
    });

    // --- Whoever leaves this device leaves nothing on it; what is not sent yet holds them back once.

    document.addEventListener('submit', (event) => {
        if (!event.target.matches('form[action$="/sign-out"]') || storage === null) {
            return;
        }
        if (outbox().length > 0 && event.target.dataset.sure === undefined) {
            event.preventDefault();
            event.target.dataset.sure = '1';
            banner.textContent = words.wordsHeldBack.replace('%count%', String(outbox().length));
            banner.hidden = false;
            return;
        }
        leaving = true;
        for (const key of Object.keys(storage).filter((name) => new RegExp(`^(draft|outbox|refused):${who}(:|$)`).test(name))) {
            storage.removeItem(key);
        }
        tell({ forget: true });
        indexedDB.deleteDatabase(SHELF);
    });

    // Plain forms of the pages go by htmx as well, so that a dead line ends in no error page of the browser's. Those that
    // say otherwise, or ask for a password, stay as they are. htmx has not looked at the page yet: it does so once, at its end.
    const improve = (part) => {
        for (const form of part.querySelectorAll('#main form[method="post"]:not([hx-boost])')) {
            if (!form.querySelector('[type="password"]')) {
                form.setAttribute('hx-boost', 'true');
            }
        }
    };

    /** A calculator as last seen may be another edit's; what this one says stands in the address, of boxes those that are ticked. */
    const fillFromAddress = (form) => {
        const said = new URLSearchParams(location.search);
        const typed = [...form?.elements ?? []].filter((field) => field.name !== '').map((field) => ['radio', 'checkbox'].includes(field.type)
            ? [field.name, field.value, said.getAll(field.name).includes(field.value)]
            : [field.name, said.get(field.name) ?? field.value, null]);
        if (said.size > 0 && fill(form, typed)) {
            leaveUnanswered(form);
        }
    };

    window.outbox = {
        arrive(part) {
            improve(part.querySelector?.('#main') ? part : document);
            const main = document.getElementById('main');
            if (main.dataset.seenAt) {
                // A page as last seen carries keys that may be used up by now.
                freshKeys(main);
                fillFromAddress(main.querySelector('.calc-form'));
            }
            show();
            introduce();
            const list = document.getElementById('seen-jobs');
            if (list?.childElementCount === 0) {
                listSeen(list);
            }
        },
    };
    flush();
})();
