// A vehicle is dragged to its place in the order of the day, with a finger or a mouse; the buttons beside it do the same.

import { all, one } from './dom.js';

/**
 * Which place it gets where it is let go: behind those that somebody has given one and that stand above; none where it is
 * pulled down among those of which the plan decides.
 *
 * @param {{ id: string, placed: boolean }[]} rows  in the order they stand
 * @param {string} dragged
 * @param {number} before  index of the row it is let go above
 */
export function placeAt(rows, dragged, before) {
    const above = rows.slice(0, before).filter((row) => row.id !== dragged);
    const isUnplaced = rows.find((row) => row.id === dragged)?.placed && above.some((row) => !row.placed);

    return isUnplaced ? '' : String(above.filter((row) => row.placed).length + 1);
}

/** @param {HTMLElement} row */
const idOf = (row) => row.dataset.moves ?? '';

/** @param {HTMLElement[]} rows @param {number} y */
const indexAt = (rows, y) => rows.filter((row) => row.getBoundingClientRect().top + row.offsetHeight / 2 < y).length;

/** @param {HTMLElement} row @param {string} place */
function give(row, place) {
    const form = one('form', HTMLFormElement, row);
    const said = Object.assign(document.createElement('input'), { type: 'hidden', name: 'place', value: place });
    form?.append(said);
    form?.submit();
}

export function followOrder() {
    document.addEventListener('pointerdown', (event) => {
        const grip = event.target instanceof Element ? event.target.closest('[data-grip]') : null;
        const row = grip?.closest('[data-moves]');
        if (!(grip instanceof HTMLElement) || !(row instanceof HTMLElement)) {
            return;
        }
        event.preventDefault();
        grip.setPointerCapture(event.pointerId);
        const rows = all('tr', HTMLElement, row.parentElement ?? document);
        const show = (/** @type {PointerEvent} */ moved) => {
            const at = indexAt(rows, moved.clientY);
            rows.forEach((each, i) => each.classList.toggle('border-t-4', i === at));
            row.classList.add('opacity-60');
        };
        const end = (/** @type {PointerEvent} */ last) => {
            grip.removeEventListener('pointermove', show);
            rows.forEach((each) => each.classList.remove('border-t-4', 'opacity-60'));
            const at = indexAt(rows, last.clientY);
            const from = rows.indexOf(row);
            if (last.type === 'pointerup' && at !== from && at !== from + 1) {
                give(
                    row,
                    placeAt(
                        rows.map((each) => ({ id: idOf(each), placed: Boolean(each.dataset.place) })),
                        idOf(row),
                        at,
                    ),
                );
            }
        };
        grip.addEventListener('pointermove', show);
        grip.addEventListener('pointerup', end, { once: true });
        grip.addEventListener('pointercancel', end, { once: true });
    });
}
