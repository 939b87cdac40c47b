/*
 * The instruments a phone has: microphone, stopwatch, counted taps, and points on a photo. Each only fills fields that
 * can be typed as well; nothing it sees or hears is sent but what stands in them.
 */
(() => {
    'use strict';

    const labelOf = (field) => (field.labels?.[0]?.firstChild?.textContent ?? field.name).trim();
    const fill = (field, text) => {
        field.value = text;
        field.dispatchEvent(new Event('input', { bubbles: true }));
    };
    // Asked only once nothing is missing: an instrument fills the fields before the rest is typed.
    const answer = (form) => {
        if (form.querySelector('.calc-fields') && ![...form.querySelectorAll('.calc-fields [required]')].some((field) => field.value.trim() === '')) {
            form.querySelector('.calc-fields input').dispatchEvent(new Event('change', { bubbles: true }));
        }
    };

    // --- The microphone: what it hears becomes a WAV in the file field, and is sent with the form.

    const wavOf = (samples, rate) => {
        const view = new DataView(new ArrayBuffer(44 + 2 * samples.length));
        const text = (at, letters) => [...letters].forEach((letter, index) => view.setUint8(at + index, letter.charCodeAt(0)));
        text(0, 'RIFF');
        view.setUint32(4, 36 + 2 * samples.length, true);
        text(8, 'WAVEfmt ');
        view.setUint32(16, 16, true);
        view.setUint16(20, 1, true);
        view.setUint16(22, 1, true);
        view.setUint32(24, rate, true);
        view.setUint32(28, 2 * rate, true);
        view.setUint16(32, 2, true);
        view.setUint16(34, 16, true);
        text(36, 'data');
        view.setUint32(40, 2 * samples.length, true);
        samples.forEach((value, index) => view.setInt16(44 + 2 * index, Math.max(-1, Math.min(1, value)) * 32767, true));
        return new File([view], 'engine.wav', { type: 'audio/wav' });
    };
    const bringEarToLife = (button) => {
        const Recorder = window.MediaRecorder;
        const said = button.parentElement.querySelector('[data-said]');
        if (!navigator.mediaDevices?.getUserMedia || !Recorder) {
            return;
        }
        button.parentElement.hidden = false;
        button.addEventListener('click', async () => {
            button.disabled = true;
            try {
                // What cleans speech takes an engine for noise.
                const stream = await navigator.mediaDevices.getUserMedia({ audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false } });
                const parts = [];
                const recorder = new Recorder(stream);
                recorder.addEventListener('dataavailable', (event) => parts.push(event.data));
                const stopped = new Promise((resolve) => recorder.addEventListener('stop', resolve));
                recorder.start();
                for (let left = Number(button.dataset.listen); left > 0; left -= 1) {
                    said.textContent = button.dataset.listening.replace('%left%', left);
                    await new Promise((resolve) => setTimeout(resolve, 1000));
                }
                recorder.stop();
                await stopped;
                stream.getTracks().forEach((track) => track.stop());
                const context = new AudioContext();
                const heard = await context.decodeAudioData(await new Blob(parts).arrayBuffer());
                const files = new DataTransfer();
                files.items.add(wavOf(heard.getChannelData(0), heard.sampleRate));
                await context.close();
                button.form.querySelector('[name="file"]').files = files.files;
                said.textContent = '';
                button.form.requestSubmit();
            } catch {
                said.textContent = button.dataset.refused;
                button.disabled = false;
            }
        });
    };

    // --- The stopwatch: the first empty of its fields is timed, then the next.

    const bringWatchToLife = (watch) => {
        const form = watch.closest('form');
        const [output, button] = [watch.querySelector('output'), watch.querySelector('button')];
        const next = () => [...form.querySelectorAll('[data-timed]')].find((field) => field.value.trim() === '');
        let field = null;
        let since = 0;
        const show = () => {
            const target = field ?? next();
            watch.hidden = !target;
            if (target) {
                button.textContent = (field ? button.dataset.stop : button.dataset.start).replace('%what%', labelOf(target));
            }
        };
        const tick = () => {
            if (field && watch.isConnected) {
                output.textContent = ((performance.now() - since) / 1000).toFixed(1);
                requestAnimationFrame(tick);
            }
        };
        button.addEventListener('click', () => {
            if (field) {
                const seconds = ((performance.now() - since) / 1000).toFixed(1);
                const timed = field;
                field = null;
                fill(timed, seconds);
                show();
                answer(form);
            } else {
                field = next();
                since = performance.now();
                show();
                tick();
            }
        });
        show();
    };

    // --- Counted taps: each adds its value to the row, and says how long the last was ago.

    const bringTapsToLife = (field) => {
        const row = document.createElement('p');
        row.className = 'chips';
        const said = document.createElement('span');
        said.setAttribute('role', 'status');
        let last = null;
        for (const value of field.dataset.taps.split(' ')) {
            const button = document.createElement('button');
            button.type = 'button';
            button.className = 'chip';
            button.textContent = `${value} ${field.parentElement.querySelector('.unit')?.textContent ?? ''}`;
            button.addEventListener('click', () => {
                fill(field, field.value.trim() === '' ? value : `${field.value.trim()}; ${value}`);
                const now = performance.now();
                said.textContent = last === null ? '' : `+ ${((now - last) / 1000).toFixed(0)} s`;
                last = now;
            });
            row.append(button);
        }
        row.append(said);
        field.closest('.field').append(row);
    };

    // --- A count: each tap is one more.

    const bringCountToLife = (field) => {
        const button = document.createElement('button');
        button.type = 'button';
        button.className = 'button is-main';
        button.textContent = '+ 1';
        button.setAttribute('aria-label', `${labelOf(field)} + 1`);
        button.addEventListener('click', () => fill(field, String((Number.parseInt(field.value, 10) || 0) + 1)));
        field.after(button);
    };

    // --- Points on a photo: tapped one after the other, dragged, or moved by keys; a second photo serves the second half.

    const SVG = 'http://www.w3.org/2000/svg';
    const bringPhotoToLife = (section) => {
        const [file, said, svg] = [section.querySelector('[data-photo]'), section.querySelector('[data-said]'), section.querySelector('svg')];
        // The section outlives the answers of the form; its fields are new each time.
        const all = () => [...section.closest('form').querySelectorAll('[data-point]')];
        let photos = 0;
        const sides = () => (all().some((field) => field.name.startsWith('other_')) ? ['one_', 'other_'] : ['']);
        const fields = () => all().filter((field) => field.name.startsWith(sides()[Math.max(0, Math.min(photos, sides().length) - 1)]));
        // By name, since an answer has put new fields into the form under the same marks.
        const live = (field) => section.closest('form').elements.namedItem(field.name);
        const next = () => fields().find((field) => field.value.trim() === '');
        let picture = null;
        // Moved by keys: answered once the mark is left, so that the next key still finds it.
        let isMoving = false;
        let isMoved = false;
        const place = (event) => {
            const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
            return [Math.max(0, Math.round(point.x)), Math.max(0, Math.round(point.y))];
        };
        const settle = () => answer(section.closest('form'));
        const draw = () => {
            svg.querySelectorAll('g').forEach((mark) => mark.remove());
            const target = next();
            said.textContent = target
                ? said.dataset.next.replace('%point%', labelOf(target))
                : (photos < sides().length ? said.dataset.second : said.dataset.done);
            fields().forEach((field, index) => {
                const [x, y] = field.value.split(/[,;]\s*/).map(Number);
                if (field.value.trim() === '' || Number.isNaN(x + y)) {
                    return;
                }
                const mark = document.createElementNS(SVG, 'g');
                mark.setAttribute('tabindex', '0');
                mark.setAttribute('data-of', field.name);
                mark.setAttribute('role', 'img');
                mark.setAttribute('aria-label', `${labelOf(field)}: ${x}, ${y}`);
                const size = picture.naturalWidth / 40;
                mark.innerHTML = `<circle cx="${x}" cy="${y}" r="${size}"/><path d="M${x - size} ${y}h${2 * size}M${x} ${y - size}v${2 * size}"/><text x="${x + 1.3 * size}" y="${y - 0.4 * size}" font-size="${1.6 * size}">${index + 1}</text>`;
                mark.addEventListener('keydown', (event) => {
                    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
                    if (by) {
                        event.preventDefault();
                        const far = event.shiftKey ? 10 : 1;
                        const [nowX, nowY] = live(field).value.split(/[,;]\s*/).map(Number);
                        fill(live(field), `${Math.max(0, nowX + far * by[0])}, ${Math.max(0, nowY + far * by[1])}`);
                        isMoving = true;
                        draw();
                        svg.querySelector(`[data-of="${field.name}"]`)?.focus();
                        isMoving = false;
                        isMoved = true;
                    }
                });
                mark.addEventListener('blur', () => {
                    if (isMoved && !isMoving) {
                        isMoved = false;
                        settle();
                    }
                });
                mark.addEventListener('pointerdown', (event) => {
                    event.stopPropagation();
                    const move = (moved) => fill(live(field), place(moved).join(', '));
                    const up = () => {
                        svg.removeEventListener('pointermove', move);
                        draw();
                        settle();
                    };
                    svg.addEventListener('pointermove', move);
                    svg.addEventListener('pointerup', up, { once: true });
                });
                svg.append(mark);
            });
        };
        section.hidden = false;
        const show = (source) => {
            photos += 1;
            picture = new Image();
            picture.addEventListener('load', () => {
                svg.setAttribute('viewBox', `0 0 ${picture.naturalWidth} ${picture.naturalHeight}`);
                svg.innerHTML = '';
                const image = document.createElementNS(SVG, 'image');
                image.setAttribute('href', picture.src);
                image.setAttribute('width', picture.naturalWidth);
                image.setAttribute('height', picture.naturalHeight);
                svg.append(image);
                svg.removeAttribute('hidden');
                draw();
            });
            picture.src = source;
        };
        file.addEventListener('change', (event) => {
            event.stopPropagation();
            if (file.files[0]) {
                show(URL.createObjectURL(file.files[0]));
            }
        });
        section.querySelectorAll('[data-sample]').forEach((button) => button.addEventListener('click', () => show(button.dataset.sample)));
        svg.addEventListener('click', (event) => {
            const target = next();
            if (target && !event.target.closest('g')) {
                fill(target, place(event).join(', '));
                draw();
                settle();
            }
        });
    };

    const once = (element, bring) => {
        if (!element.dataset.alive) {
            element.dataset.alive = '1';
            bring(element);
        }
    };
    window.instruments = {
        arrive: (part) => {
            part.querySelectorAll('[data-listen]').forEach((one) => once(one, bringEarToLife));
            part.querySelectorAll('[data-stopwatch]').forEach((one) => once(one, bringWatchToLife));
            part.querySelectorAll('[data-taps]').forEach((one) => once(one, bringTapsToLife));
            part.querySelectorAll('[data-tally]').forEach((one) => once(one, bringCountToLife));
            part.querySelectorAll('[data-points]').forEach((one) => once(one, bringPhotoToLife));
        },
    };
})();
