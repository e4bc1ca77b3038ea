// The parts of a routine are pressed, not spelled: each is a line more, with the cursor behind it.

import { around } from './dom.js';

/**
 * @param {string} text
 * @param {string} line
 */
export function withLine(text, line) {
    const before = text.replace(/\s+$/, '');
    return before === '' ? line : `${before}\n${line}`;
}

export function writeRoutine() {
    document.addEventListener('click', (event) => {
        const part = around(event, '[data-adds]', HTMLButtonElement);
        const routine = part && document.getElementById('routine');
        if (part && routine instanceof HTMLTextAreaElement) {
            routine.value = withLine(routine.value, part.dataset.adds ?? '');
            routine.focus();
            routine.setSelectionRange(routine.value.length, routine.value.length);
            routine.scrollTop = routine.scrollHeight;
        }
    });
}
