// Any element with data-key answers to that key or two-key chord; the sheet lists what this page has.

import { all, around, one } from './dom.js';

const CHORD_MS = 1200;

export function listenForShortcuts() {
    const sheet = one('#sheet', HTMLDialogElement);
    let prefix = null;
    let timer = null;

    const act = (element) => {
        if (element.matches('[data-key-focus]')) {
            const field = element.form?.querySelector('input:not([type=hidden]):not(:disabled)');
            if (field && !element.form.contains(document.activeElement)) {
                field.focus();
                field.select?.();
                return;
            }
        }
        if (element.matches('input')) {
            element.focus();
        } else {
            element.click();
        }
    };
    const open = () => {
        const list = sheet.querySelector('dl');
        list.replaceChildren();
        for (const element of all('[data-key]', HTMLElement)) {
            const key = document.createElement('dt');
            const label = document.createElement('dd');
            key.textContent = element.dataset.key;
            label.textContent = element.dataset.keyLabel;
            list.append(key, label);
        }
        sheet.showModal();
    };
    document.querySelector('[data-sheet]')?.addEventListener('click', open);
    document.addEventListener('keydown', (event) => {
        if (
            event.ctrlKey ||
            event.metaKey ||
            event.altKey ||
            around(event, 'input:not([type=radio]):not([type=checkbox]), select, textarea', HTMLElement) ||
            sheet.open
        ) {
            return;
        }
        const key = prefix === null ? event.key : `${prefix} ${event.key}`;
        const keyed = all('[data-key]', HTMLElement);
        const hit = keyed.find((element) => element.dataset.key === key);
        clearTimeout(timer);
        if (hit) {
            event.preventDefault();
            prefix = null;
            act(hit);
        } else if (prefix === null && keyed.some((element) => element.dataset.key.startsWith(`${key} `))) {
            prefix = key;
            timer = setTimeout(() => (prefix = null), CHORD_MS);
        } else {
            prefix = null;
        }
    });
}
