/*
 * What was typed is kept on this device, form by form, until the server has said that it is saved. It belongs to whoever
 * is signed in, and goes when they sign out. What was sent into a dead line is in outbox.js.
 */
(() => {
    'use strict';

    const words = document.body.dataset;
    const who = words.who ?? '';
    const storage = (() => {
        try {
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

    const isKey = (field) => /(^|\[)request_key\]?$/.test(field.name);
    const isToken = (name) => /(^|\[)_token\]?$/.test(name);
    const isBasis = (field) => /(^|\[)based_on\]?$/.test(field.name);
    const isSignIn = (address) => new URL(address || location.href, location.href).pathname === '/sign-in';
    const freshKey = () => {
        const bytes = crypto.getRandomValues(new Uint8Array(16));
        bytes[6] = bytes[6] & 0x0f | 0x40;
        bytes[8] = bytes[8] & 0x3f | 0x80;
        return [...bytes].map((byte, at) => ([4, 6, 8, 10].includes(at) ? '-' : '') + byte.toString(16).padStart(2, '0')).join('');
    };
    const freshKeys = (part) => part.querySelectorAll('input').forEach((field) => {
        if (isKey(field)) {
            field.value = freshKey();
        }
    });

    const draftKey = (form) => `draft:${who}:${form.dataset.draft}`;
    const fieldsOf = (form) => [...form.elements].filter((field) =>
        field.name && !['hidden', 'file', 'password', 'submit', 'button'].includes(field.type) || isKey(field) || isBasis(field));
    const drop = (form) => form.dataset.draft !== undefined && storage?.removeItem(draftKey(form));
    const keep = (form) => write(draftKey(form), {
        values: fieldsOf(form).map((field) => [field.name, field.value, ['checkbox', 'radio'].includes(field.type) ? field.checked : null]),
    });
    /** Puts values back into a form; `checked` is null for what is no choice. @returns whether anything is other than it was */
    const fill = (form, values) => {
        let changed = false;
        for (const [name, value, checked] of values) {
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
        return changed;
    };
    const restore = (form) => {
        const kept = read(draftKey(form), null);
        if (!kept || form.querySelector('.error, [data-both]')) {
            return;
        }
        if (fill(form, kept.values)) {
            // What is back is seen, also where it had been folded away.
            form.closest('details')?.setAttribute('open', '');
            const note = document.createElement('p');
            note.className = 'note is-ask';
            note.setAttribute('role', 'status');
            note.textContent = words.wordsRestored;
            form.prepend(note);
        } else {
            drop(form);
        }
    };
    document.addEventListener('input', (event) => {
        const form = event.target.form;
        if (form?.dataset.draft !== undefined) {
            keep(form);
        }
    });
    // A draft goes once the answer has come and is no refusal. Before the next page stands: else its form would take the
    // draft for its own, and with it a key that is used up.
    document.addEventListener('htmx:beforeSwap', (event) => {
        const form = event.detail.requestConfig?.elt.closest?.('form[data-draft]');
        if (form && event.detail.requestConfig.verb !== 'get' && event.detail.xhr.status < 400 && !isSignIn(event.detail.xhr.responseURL)) {
            drop(form);
        }
    });

    window.drafts = {
        who, storage, read, write, isKey, isToken, isSignIn, freshKey, freshKeys, drop, fill,
        arrive: (part) => part.querySelectorAll('form[data-draft]').forEach(restore),
    };
})();
