/*
 * What the pages do beyond plain HTML: timers that tick, keys, and the jar whose layers can be dragged. What is kept over
 * a dead connection is in drafts.js and outbox.js. Everything here only improves a page that works without it.
 */
(() => {
    'use strict';

    const words = document.body.dataset;
    const root = document.documentElement;
    root.classList.add('has-script');

    // --- Timers: they count against the server's moment of readiness and say when it has come.

    // A short tone, made here: no file, and nothing that plays unasked.
    const ring = (times) => {
        const audio = new AudioContext();
        const tone = audio.createOscillator();
        const volume = audio.createGain();
        tone.frequency.value = 660;
        for (let time = 0; time < times; time += 1) {
            volume.gain.setValueAtTime(times > 1 ? 1 : 0.3, audio.currentTime + 1.2 * time);
            volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 1.2 * (time + 1));
        }
        tone.connect(volume).connect(audio.destination);
        tone.start();
        tone.stop(audio.currentTime + 1.2 * times);
        tone.onended = () => audio.close();
    };

    const tick = () => {
        for (const wait of document.querySelectorAll('[data-ready-at]')) {
            const left = Math.ceil((Date.parse(wait.dataset.readyAt) - Date.now()) / 1000);
            const time = wait.querySelector('.wait-time');
            const comesOver = left <= 0 && wait.dataset.counts === 'yes';
            wait.classList.toggle('is-over', left <= 0);
            if (comesOver) {
                // Whoever does not look at the bar hears it, or sees it on the tab.
                document.getElementById('heard').textContent = `${wait.querySelector('span').textContent}: ${words.wordsReady}`;
                document.title = `✓ ${document.title.replace(/^✓ /, '')}`;
                // An engine runs meanwhile where it ends loudly: that is heard whoever has turned sounds off.
                if (words.sound === 'on' || wait.hasAttribute('data-loud')) {
                    ring(wait.hasAttribute('data-loud') ? 5 : 1);
                }
            }
            wait.dataset.counts = left > 0 ? 'yes' : 'no';
            time.textContent = left <= 0
                ? words.wordsReady
                : `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
        }
    };
    setInterval(tick, 1000);

    // A field that asks by itself, as completion does, sends nothing that could be lost.
    const isAsking = (event) => event.detail.elt.matches?.('input');
    document.addEventListener('htmx:beforeRequest', (event) => {
        // One press, one request: the button rests until the answer is there.
        if (!isAsking(event) && !event.defaultPrevented) {
            event.detail.elt.closest?.('form')?.setAttribute('aria-busy', 'true');
        }
    });
    // Where only an answer changed, its form is still there.
    document.addEventListener('htmx:afterRequest', (event) => event.detail.elt.closest?.('form[data-at-once]')?.removeAttribute('aria-busy'));

    // --- Two taps at once: both are recorded, but the answer that comes last may be the older one, so the page is asked for again.

    let underWay = 0;
    let overlapped = false;
    const isChange = (event) => event.detail.requestConfig.verb !== 'get';
    document.addEventListener('htmx:beforeRequest', (event) => {
        // What went into the outbox instead is not under way.
        if (isChange(event) && !event.defaultPrevented) {
            overlapped ||= underWay > 0;
            underWay += 1;
        }
    });
    document.addEventListener('htmx:afterRequest', (event) => {
        if (isChange(event)) {
            underWay -= 1;
            if (underWay === 0 && overlapped) {
                overlapped = false;
                htmx.ajax('GET', location.pathname + location.search, { source: document.body });
            }
        }
    });

    // --- A form that saves at every change: what is typed while the answer is under way is carried into the new page.

    const worthOf = (field) => ['checkbox', 'radio'].includes(field.type) ? field.checked : field.value;
    let typedMeanwhile = [];
    document.addEventListener('htmx:beforeRequest', (event) => {
        const form = event.detail.elt.closest?.('form[data-at-once]');
        if (form) {
            form.sent = new Map([...form.elements].filter((field) => field.id).map((field) => [field.id, worthOf(field)]));
        }
    });
    document.addEventListener('htmx:beforeSwap', (event) => {
        const form = event.detail.requestConfig?.elt.closest?.('form[data-at-once]');
        typedMeanwhile = !form?.sent ? [] : [...form.elements]
            .filter((field) => form.sent.has(field.id) && form.sent.get(field.id) !== worthOf(field) && !['checkbox', 'radio'].includes(field.type))
            .map((field) => [field.id, field.value, field.selectionEnd]);
    });
    const bringBackWhatWasTyped = () => {
        if (typedMeanwhile.length === 0) {
            return;
        }
        // Until a new page has settled nothing on it listens.
        const settled = new Promise((resolve) => {
            document.addEventListener('htmx:afterSettle', resolve, { once: true });
        });
        for (const [id, value, caret] of typedMeanwhile) {
            const field = document.getElementById(id);
            if (field) {
                field.value = value;
                // Set by a script, it counts as unchanged: whoever leaves it has to be told that it was not.
                const tell = () => settled.then(() => field.dispatchEvent(new Event('change', { bubbles: true })));
                if (field === document.activeElement) {
                    field.setSelectionRange?.(caret, caret);
                    field.addEventListener('blur', tell, { once: true });
                } else {
                    tell();
                }
            }
        }
        typedMeanwhile = [];
    };

    // --- The jar: drag a boundary, or move it with the arrow keys; the fields follow, and save as if typed.

    const bringJarToLife = (svg) => {
        const top = Number(svg.dataset.top);
        const bottom = Number(svg.dataset.bottom);
        const full = Number(svg.dataset.fullMl);
        const field = (name) => document.getElementById(`layers_${name}`);
        const number = (input, fallback) => {
            const value = Number.parseFloat((input?.value ?? '').replace(',', '.'));
            return Number.isFinite(value) ? value : fallback;
        };
        const level = (ml) => bottom - (ml / full) * (bottom - top);
        const state = {
            total: Number(svg.dataset.totalMl),
            lower: Number(svg.querySelector('[data-handle="lower"]').getAttribute('aria-valuenow')),
        };
        const heightPerMl = () => number(field('height'), Number(svg.dataset.heightMm)) / number(field('total'), state.total);
        let slope = heightPerMl();

        const draw = () => {
            const surface = level(state.total);
            const boundary = level(state.lower);
            const place = (layer, from, to) => {
                for (const rect of svg.querySelectorAll(`[data-layer="${layer}"]`)) {
                    rect.setAttribute('y', from);
                    rect.setAttribute('height', Math.max(0, to - from));
                }
            };
            place('upper', surface, boundary);
            place('lower', boundary, bottom);
            for (const [name, y] of [['total', surface], ['lower', boundary]]) {
                const handle = svg.querySelector(`[data-handle="${name}"]`);
                handle.setAttribute('transform', `translate(0 ${y})`);
                handle.setAttribute('aria-valuenow', String(Math.round(state[name] * 10) / 10));
            }
        };
        const set = (name, ml) => {
            const rounded = Math.round(ml * 2) / 2;
            state[name] = name === 'total'
                ? Math.min(full, Math.max(state.lower, 0, rounded))
                : Math.min(state.total, Math.max(0, rounded));
            field(name).value = String(state[name]);
            if (field('total').value === '') {
                field('total').value = String(state.total);
            }
            if (name === 'total' || field('height').value === '') {
                field('height').value = String(Math.round(slope * state.total * 10) / 10);
            }
            draw();
            field(name).dispatchEvent(new Event('input', { bubbles: true }));
        };
        for (const handle of svg.querySelectorAll('[data-handle]')) {
            const name = handle.dataset.handle;
            handle.addEventListener('pointerdown', (event) => {
                handle.setPointerCapture(event.pointerId);
                slope = heightPerMl();
                event.preventDefault();
                handle.focus();
            });
            handle.addEventListener('pointermove', (event) => {
                if (!handle.hasPointerCapture(event.pointerId)) {
                    return;
                }
                const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
                set(name, ((bottom - point.y) / (bottom - top)) * full);
            });
            handle.addEventListener('keydown', (event) => {
                const step = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
                if (step) {
                    event.preventDefault();
                    slope = heightPerMl();
                    set(name, state[name] + step * (event.shiftKey ? 10 : 1));
                }
            });
        }
        for (const name of ['total', 'lower']) {
            field(name)?.addEventListener('input', () => {
                const typed = number(field(name), state[name]);
                if (typed >= 0 && typed <= full) {
                    state[name] = typed;
                    draw();
                }
            });
        }
    };

    // --- A recording as it comes: server-sent events, each a handful of samples the server has saved already.

    const bringLiveToLife = (svg) => {
        const [left, right, top, bottom] = [58, 704, 20, 270];
        const line = svg.querySelector('polyline');
        const now = svg.querySelector('[data-now]');
        const [times, values] = [[], []];
        const source = new EventSource(svg.dataset.live);
        // A page may arrive in several parts, each announced; one ear is enough.
        svg.removeAttribute('data-live');
        const stop = () => source.close();
        source.addEventListener('samples', (event) => {
            const { t, v } = JSON.parse(event.data);
            times.push(...t);
            values.push(...v);
            const span = Math.max(10, times.at(-1));
            const most = Math.max(...values) * 1.1 || 1;
            // A pixel a sample is enough for the eye; the analysis has them all.
            const stride = Math.max(1, Math.floor(times.length / 650));
            line.setAttribute('points', times.filter((_, index) => index % stride === 0).map((time, index) =>
                `${left + (right - left) * time / span},${bottom - (bottom - top) * values[index * stride] / most}`).join(' '));
            now.textContent = `${values.at(-1).toFixed(1)} ${svg.dataset.unit}`;
        });
        source.addEventListener('silent', (event) => {
            stop();
            document.getElementById('live-said').textContent = event.data;
        });
        source.addEventListener('end', () => {
            stop();
            if (svg.isConnected) {
                window.htmx.ajax('GET', svg.dataset.done, { target: '#main', select: '#main', swap: 'outerHTML show:none' });
            }
        });
        // Whoever goes to another page has let the recording go; what came is kept.
        document.addEventListener('htmx:beforeSwap', stop, { once: true });
    };

    // What is typed into a field that narrows hides what does not say it; sent, the server does the same.
    document.addEventListener('input', (event) => {
        const { narrows } = event.target.dataset;
        if (narrows) {
            const asked = event.target.value.trim().toLowerCase();
            document.querySelectorAll(narrows).forEach((item) => {
                item.hidden = !item.textContent.toLowerCase().includes(asked);
            });
        }
    });

    document.addEventListener('click', (event) => {
        if (event.target.closest('[data-print]')) {
            window.print();
        }
    });

    // --- Keys: few, and only while no field has the cursor.

    document.addEventListener('keydown', (event) => {
        const target = event.target;
        if (words.keys === 'off' || event.ctrlKey || event.metaKey || event.altKey || target.closest('a, button, summary, input, textarea, select, [role="slider"]')) {
            return;
        }
        if (event.key === '?') {
            document.querySelector('.shed-foot a').click();
            return;
        }
        const element = document.querySelector(`[data-key="${CSS.escape(event.key)}"]`);
        if (element) {
            event.preventDefault();
            element.matches('input') ? element.focus() : element.click();
        }
    });

    // What was unfolded to tap in, again and again, stays unfolded when the next page comes; folded by hand, it stays folded.
    // A browser that keeps nothing lets it fold.
    const bringBackWhatStays = (part) => window.drafts.storage && part.querySelectorAll('details[data-stays]').forEach((folds) => {
        folds.open = sessionStorage.getItem(`stays-${folds.dataset.stays}`) === 'open';
        folds.addEventListener('toggle', () => sessionStorage.setItem(`stays-${folds.dataset.stays}`, folds.open ? 'open' : ''));
    });

    const arrive = (part) => {
        bringBackWhatStays(part);
        tick();
        bringBackWhatWasTyped();
        window.outbox.arrive(part);
        window.drafts.arrive(part);
        part.querySelectorAll('svg[data-jar]').forEach(bringJarToLife);
        part.querySelectorAll('svg[data-live]').forEach(bringLiveToLife);
        window.instruments.arrive(part);
        part.querySelectorAll('.finder select').forEach((select) =>
            select.addEventListener('change', () => select.form.requestSubmit()));
    };
    arrive(document);

    // What an address points at is not left folded away.
    const unfold = () => {
        for (let folded = document.getElementById(location.hash.slice(1))?.closest('details'); folded; folded = folded.parentElement.closest('details')) {
            folded.open = true;
        }
    };
    unfold();

    // One card open at a time. A name in common would do it too, but for the moment in which a new page stands beside the old.
    document.addEventListener('toggle', (event) => {
        if (event.target.open && event.target.matches('details[data-one-open]')) {
            document.querySelectorAll(`details[data-one-open="${event.target.dataset.oneOpen}"][open]`).forEach((other) => {
                other.open = other === event.target;
            });
        }
    }, true);

    // Where the eye goes after an answer: to what is wrong, or to the top of another page; else it stays where it was.
    let here = location.pathname;
    const lookAt = (main, isChange) => {
        const wrong = isChange ? main.querySelector('[data-both], [data-error], .has-errors, .note.is-bad.error') : null;
        unfold();
        const meant = location.hash === '' ? null : document.getElementById(location.hash.slice(1));
        if (wrong) {
            wrong.scrollIntoView({ block: 'start' });
            wrong.focus({ preventScroll: true });
        } else if (location.pathname !== here) {
            meant ? meant.scrollIntoView() : window.scrollTo(0, 0);
        }
        here = location.pathname;
    };
    document.addEventListener('htmx:afterSwap', (event) => {
        const main = document.getElementById('main');
        if (event.target.id === 'calc-answer') {
            document.getElementById('heard').textContent = event.target.querySelector('.verdict').textContent.trim();
        }
        if (event.detail.target.id === 'main' || event.target.id === 'main') {
            arrive(main);
            lookAt(main, event.detail.requestConfig?.verb === 'post');
            // Whoever cannot see that the page changed hears what it says now.
            if (!document.activeElement || document.activeElement === document.body) {
                const next = [...main.querySelectorAll('details[data-one-open][open] > summary')].filter((summary) => summary.checkVisibility()).at(-1);
                next ? next.focus() : main.focus({ preventScroll: true });
            }
        }
    });

    // --- The bench day: a bar is dragged along its lane or to other hands, or moved with the arrow keys and set with Enter.
    // What is sent is the form that stands beside it in the list.

    const chartStep = 15;
    const moving = new WeakMap();

    const chartMove = (bar, minutes, lanes) => {
        const svg = bar.ownerSVGElement;
        const all = [...svg.querySelectorAll('[data-lane^="p"]')].filter((lane) => /^p\d+$/.test(lane.dataset.lane));
        const home = all.indexOf(bar.closest('[data-lane]'));
        if (home < 0) {
            return;
        }
        const target = all[Math.min(all.length - 1, Math.max(0, home + lanes))];
        const perMinute = (1100 - 150) / (svg.dataset.last - svg.dataset.first);
        const start = Math.max(0, Math.min(1425, Number(bar.dataset.from) + minutes));
        bar.setAttribute('transform', `translate(${(start - bar.dataset.from) * perMinute} ${(all.indexOf(target) - home) * 46})`);
        bar.classList.add('is-moved');
        const clock = `${String(Math.floor(start / 60)).padStart(2, '0')}:${String(start % 60).padStart(2, '0')}`;
        moving.set(bar, { minutes, lanes: all.indexOf(target) - home, clock, hands: target.dataset.lane.slice(1) });
        const chart = bar.closest('[data-day-chart]');
        document.querySelector('[data-chart-says]').textContent = chart.dataset.hint.replace('%time%', clock).replace('%who%', target.querySelector('text').textContent);
    };

    const chartLetBe = (bar) => {
        bar.removeAttribute('transform');
        bar.classList.remove('is-moved');
        moving.delete(bar);
        document.querySelector('[data-chart-says]').textContent = '';
    };

    const chartSet = (bar) => {
        const to = moving.get(bar);
        const form = document.querySelector('[data-pin-form]');
        if (!to || !form || (to.minutes === 0 && to.lanes === 0)) {
            chartLetBe(bar);
            return;
        }
        const [, job, kind] = /^j(\d+)\.(\w+)$/.exec(bar.dataset.bar);
        form.action = form.getAttribute('action').replace('/1/piece/', `/${job}/${kind}/`);
        form.elements.hands.value = to.hands;
        form.elements.at.value = `${bar.closest('[data-day-chart]').dataset.day}T${to.clock}`;
        form.requestSubmit();
    };

    const chartReady = () => {
        // Where there is room everybody's list stands open.
        if (window.matchMedia('(min-width: 60rem)').matches) {
            for (const list of document.querySelectorAll('.plan-person:not([open])')) {
                list.open = true;
            }
        }
        for (const bar of document.querySelectorAll('[data-day-chart] [data-lane^="p"] [data-bar]')) {
            if (/^j\d+\.\w+$/.test(bar.dataset.bar)) {
                bar.setAttribute('tabindex', '0');
                bar.setAttribute('role', 'button');
            }
        }
    };

    document.addEventListener('keydown', (event) => {
        const bar = event.target.closest?.('[data-day-chart] [data-bar]');
        if (!bar) {
            return;
        }
        const { minutes = 0, lanes = 0 } = moving.get(bar) ?? {};
        const step = { ArrowLeft: [-chartStep, 0], ArrowRight: [chartStep, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
        if (step) {
            event.preventDefault();
            chartMove(bar, minutes + step[0], lanes + step[1]);
        } else if (event.key === 'Enter') {
            event.preventDefault();
            chartSet(bar);
        } else if (event.key === 'Escape') {
            chartLetBe(bar);
        }
    });

    document.addEventListener('pointerdown', (event) => {
        const bar = event.target.closest?.('[data-day-chart] [data-bar][tabindex]');
        if (!bar || event.button !== 0) {
            return;
        }
        event.preventDefault();
        bar.focus();
        bar.setPointerCapture(event.pointerId);
        const scale = 1100 / bar.ownerSVGElement.getBoundingClientRect().width;
        const perMinute = (1100 - 150) / (bar.ownerSVGElement.dataset.last - bar.ownerSVGElement.dataset.first);
        const drag = (move) => chartMove(bar, Math.round(((move.clientX - event.clientX) * scale) / perMinute / 5) * 5, Math.round(((move.clientY - event.clientY) * scale) / 46));
        bar.addEventListener('pointermove', drag);
        bar.addEventListener('pointerup', () => {
            bar.removeEventListener('pointermove', drag);
            chartSet(bar);
        }, { once: true });
        bar.addEventListener('pointercancel', () => {
            bar.removeEventListener('pointermove', drag);
            chartLetBe(bar);
        }, { once: true });
    });

    // What others wrote on this job. A file says up to where it is written, and is cheap to look at; the page is asked only
    // when it says something new, and each minute in case it does not. Nobody looks where nobody sees it.
    const LOOK = 800;
    const ASK = 60_000;
    let askedFor = null;
    let askedAt = Date.now();
    const askForNews = (news, said) => {
        [askedFor, askedAt] = [said, Date.now()];
        window.htmx.trigger(news, 'news');
    };
    const lookForNews = async () => {
        const news = document.getElementById('news');
        if (!news?.dataset.stamp || document.hidden) {
            return;
        }
        if (Date.now() - askedAt > ASK) {
            askForNews(news, askedFor);
            return;
        }
        try {
            const answer = await fetch(news.dataset.stamp, { cache: 'no-store' });
            const said = answer.status === 200 ? await answer.text() : '';
            if (said && said !== askedFor && Number.parseInt(said, 10) !== Number(news.dataset.since)) {
                askForNews(news, said);
            }
        } catch {
            // The line is down; the bar at the top says so.
        }
    };
    setInterval(lookForNews, LOOK);
    document.addEventListener('visibilitychange', lookForNews);

    document.addEventListener('DOMContentLoaded', chartReady);
    document.addEventListener('htmx:load', chartReady);
})();
