/*
 * What was typed or tapped is kept on this device until the server has said that it is saved: drafts of forms half
 * filled, and an outbox of what was sent into a dead line. Both belong to whoever is signed in, and go when they sign out.
 */
(() => {
    'use strict';

    const words = document.body.dataset;
    const who = words.who ?? '';
    const storage = (() => {
        try {
            localStorage.setItem('probe', '1');
            localStorage.removeItem('probe');
            return localStorage;
        } catch {
            return null; // Private windows may refuse; the page works without.
        }
    })();
    const read = (key, otherwise) => {
        try {
            return JSON.parse(storage?.getItem(key) ?? 'null') ?? otherwise;
        } catch {
            return otherwise;
        }
    };
    /** @returns whether it is kept: a full or forbidden storage is said, not hidden */
    const write = (key, value) => {
        try {
            if (Array.isArray(value) && value.length === 0) {
                storage.removeItem(key);
            } else {
                storage.setItem(key, JSON.stringify(value));
            }
            return true;
        } catch {
            return false;
        }
    };

    // --- Drafts

    const isKey = (field) => /(^|\[)request_key\]?$/.test(field.name);
    const isToken = (name) => /(^|\[)_token\]?$/.test(name);
    const isBasis = (field) => /(^|\[)based_on\]?$/.test(field.name);
    const draftKey = (form) => `draft:${who}:${form.dataset.draft}`;
    const fieldsOf = (form) => [...form.elements].filter((field) =>
        field.name && !['hidden', 'file', 'password', 'submit', 'button'].includes(field.type) || isKey(field) || isBasis(field));
    const dropDraft = (form) => storage?.removeItem(draftKey(form));
    const keepDraft = (form) => write(draftKey(form), {
        values: fieldsOf(form).map((field) => [field.name, field.value, ['checkbox', 'radio'].includes(field.type) ? field.checked : null]),
    });
    const restoreDraft = (form) => {
        const kept = read(draftKey(form), null);
        if (!kept || form.querySelector('.error, [data-both]')) {
            return;
        }
        let changed = false;
        for (const [name, value, checked] of kept.values) {
            for (const field of form.querySelectorAll(`[name="${CSS.escape(name)}"]`)) {
                if (checked === null) {
                    changed ||= field.type !== 'hidden' && field.value !== value;
                    field.value = value;
                } else if (field.value === value) {
                    changed ||= field.checked !== checked;
                    field.checked = checked;
                }
            }
        }
        if (changed) {
            // What is back is seen, also where it had been folded away.
            form.closest('details')?.setAttribute('open', '');
            const note = document.createElement('p');
            note.className = 'note is-ask';
            note.setAttribute('role', 'status');
            note.textContent = words.wordsRestored;
            form.prepend(note);
        } else {
            dropDraft(form);
        }
    };
    document.addEventListener('input', (event) => {
        const form = event.target.form;
        if (form?.dataset.draft !== undefined) {
            keepDraft(form);
        }
    });
    // A draft goes once the answer has come and is no refusal. Before the next page stands: else its form would take the
    // draft for its own, and with it a key that is used up.
    document.addEventListener('htmx:beforeSwap', (event) => {
        const form = event.detail.requestConfig?.elt.closest?.('form[data-draft]');
        if (form && event.detail.requestConfig.verb !== 'get' && event.detail.xhr.status < 400 && !isSignIn(event.detail.xhr.responseURL)) {
            dropDraft(form);
        }
    });

    // --- The outbox: in order, each under its own key, so once.

    const outboxKey = `outbox:${who}`;
    const refusedKey = `refused:${who}`;
    const outbox = () => read(outboxKey, []);
    const isSignIn = (address) => new URL(address || location.href, location.href).pathname === '/sign-in';
    const freshKey = () => {
        const bytes = crypto.getRandomValues(new Uint8Array(16));
        bytes[6] = bytes[6] & 0x0f | 0x40;
        bytes[8] = bytes[8] & 0x3f | 0x80;
        return [...bytes].map((byte, at) => ([4, 6, 8, 10].includes(at) ? '-' : '') + byte.toString(16).padStart(2, '0')).join('');
    };

    const banner = document.getElementById('offline');
    let onThisPage = 0;
    const show = () => {
        const waiting = outbox().length;
        const refused = read(refusedKey, []);
        banner.replaceChildren();
        const line = (text) => {
            const paragraph = document.createElement('p');
            paragraph.textContent = text;
            banner.append(paragraph);
            return paragraph;
        };
        if (waiting > 0) {
            line(words.wordsOffline.replace('%count%', String(waiting)));
        }
        if (onThisPage > 0) {
            line(words.wordsStay);
        }
        for (const [index, one] of refused.entries()) {
            const said = line(`${words.wordsRefused} ${one.why} ${one.fields.filter(([name]) => !isToken(name) && !/request_key|^back$|^gate$/.test(name)).map(([, value]) => value).join(' · ')} `);
            const button = document.createElement('button');
            button.type = 'button';
            button.className = 'button is-small';
            button.textContent = words.wordsThrowAway;
            button.addEventListener('click', () => {
                write(refusedKey, read(refusedKey, []).filter((_, at) => at !== index));
                show();
            });
            said.append(button);
        }
        banner.hidden = banner.childElementCount === 0;
    };

    // A field for files into which none was put.
    const isNoFile = (value) => value instanceof File && value.size === 0;
    const keep = (form, config) => {
        const fields = [...config.formData.entries()].filter(([, value]) => !isNoFile(value));
        if (fields.some(([, value]) => typeof value !== 'string') || form.querySelector('[type="password"]')) {
            return false;
        }
        const isKept = write(outboxKey, [...outbox(), { path: config.path, fields, tries: 0 }]);
        if (isKept) {
            if (form.dataset.draft !== undefined) {
                dropDraft(form);
            }
            // What is tapped next on this page, which still stands, is another entry.
            form.querySelectorAll('input').forEach((field) => isKey(field) && (field.value = freshKey()));
        }
        return isKept;
    };

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
                // The token is of this session; what waits may be of an earlier one.
                const body = new URLSearchParams(next.fields.map(([name, value]) => [name, isToken(name) ? words.token : value]));
                const answer = await fetch(next.path, { method: 'POST', body, headers: { 'HX-Request': 'true' }, signal: AbortSignal.timeout(10_000) });
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
                } else {
                    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
                    const why = page.querySelector('#main .note.is-bad, #main .error, #main h1')?.textContent.trim() ?? '';
                    write(refusedKey, [...read(refusedKey, []), { ...next, why }].slice(-20));
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
            event.detail.timeout = 120_000;
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
    const retried = new Set();
    const onDeadLine = (event) => {
        const form = event.detail.elt.closest?.('form');
        if (!form || !isChange(event)) {
            return;
        }
        form.removeAttribute('aria-busy');
        if (!keep(form, event.detail.requestConfig)) {
            // A picture fits into no outbox, a password belongs in none: the form stays, and is sent again from here.
            retried.add([form, form.tapped]);
            onThisPage = retried.size;
        }
        show();
    };
    document.addEventListener('htmx:sendError', onDeadLine);
    document.addEventListener('htmx:timeout', onDeadLine);
    document.addEventListener('submit', (event) => {
        event.target.tapped = event.submitter;
    }, true);
    setInterval(() => {
        const again = [...retried].filter(([form]) => form.isConnected);
        retried.clear();
        onThisPage = 0;
        if (again.length > 0) {
            show();
        }
        for (const [form, tapped] of again) {
            form.requestSubmit(tapped ?? undefined);
        }
    }, 5000);

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
    });

    // Plain forms of the pages go by htmx as well, so that a dead line ends in no error page of the browser's. Those that
    // say otherwise, or ask for a password, stay as they are.
    const improve = (part) => {
        for (const form of part.querySelectorAll('#main form[method="post"]:not([hx-boost])')) {
            if (!form.querySelector('[type="password"]')) {
                form.setAttribute('hx-boost', 'true');
                htmx.process(form);
            }
        }
    };

    window.kept = {
        arrive(part) {
            improve(part.querySelector?.('#main') ? part : document);
            part.querySelectorAll('form[data-draft]').forEach(restoreDraft);
        },
    };
    show();
    flush();
})();
