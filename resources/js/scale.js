// A bucket on a scale, beside the step: what has come since it was set to zero is one press away from being written down.

import { all, around, one } from './dom.js';

const ASK_MS = 1500;

/** Since when a bucket is weighed, by the page it is weighed for: another step begins anew. */
const zeroed = new Map();

/** @param {HTMLElement} place */
async function weigh(place) {
    const since = zeroed.get(place.dataset.weighs);
    try {
        const response = await fetch(`${place.dataset.weighs}${since === undefined ? '' : `?zeroed=${since}`}`, {
            headers: { Accept: 'application/json' },
            cache: 'no-store',
        });
        if (response.ok) {
            show(place, await response.json());
        }
    } catch {
        // The page says itself that it is cut off.
    }
}

/**
 * @param {HTMLElement} place
 * @param {{ now?: number, kg?: string, takes?: string, value?: string, still?: boolean }} told
 */
function show(place, told) {
    const shows = one('[data-scale-shows]', HTMLElement, place);
    const takes = one('[data-scale-takes]', HTMLButtonElement, place);
    place.dataset.now = String(told.now ?? ''); // by the shop's clock, whatever this tablet's says
    if (shows && takes) {
        shows.textContent = told.kg ?? '–';
        takes.hidden = told.takes === undefined;
        takes.disabled = told.still === false;
        takes.textContent = told.still === false ? 'It moves still…' : `Take ${told.takes}`;
        takes.dataset.value = told.value ?? '';
    }
}

/** The volume that somebody looked at last. */
let looked = null;

/**
 * Into the field that is asked for, as if it were typed: it is still whoever presses who writes it down.
 *
 * @param {string} value
 */
function take(value) {
    const volumes = all('main input[name$="[volume]"]', HTMLInputElement);
    const volume =
        volumes.find((field) => field === looked) ?? volumes.find((field) => field.value === '') ?? volumes[0];
    if (!volume) {
        return;
    }
    volume.closest('details')?.setAttribute('open', '');
    volume.value = value;
    const vessel = all('input[value="scale"]', HTMLInputElement).find(
        (field) => field.name === volume.name.replace('[volume]', '[vessel]'),
    );
    vessel && (vessel.checked = true);
    for (const field of [volume, vessel]) {
        field?.dispatchEvent(new Event('input', { bubbles: true }));
        field?.dispatchEvent(new Event('change', { bubbles: true }));
    }
    volume.focus();
}

export function followScale() {
    const look = () => document.hidden || all('[data-weighs]', HTMLElement).forEach(weigh);
    if (document.body.dataset.about !== undefined) {
        look();
        setInterval(look, ASK_MS);
    }
    document.addEventListener('click', (event) => {
        const place = around(event, '[data-weighs]', HTMLElement);
        const takes = around(event, '[data-scale-takes]', HTMLButtonElement);
        takes && take(takes.dataset.value ?? '');
        // What was taken is not taken again.
        if (place && (takes || around(event, '[data-scale-zero]', HTMLElement))) {
            zeroed.set(place.dataset.weighs, place.dataset.now);
            weigh(place);
        }
    });
    document.addEventListener('focusin', (event) => {
        looked =
            event.target instanceof HTMLInputElement && event.target.name.endsWith('[volume]') ? event.target : looked;
    });
}
