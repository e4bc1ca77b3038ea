// Steppers, one send per form, and a mark on forms in which somebody has typed.

import { around, one } from './dom.js';

/** Step that suits the size of a number: 0.1 below 10, else 1. */
export function stepOf(text) {
    return text.includes('.') || Math.abs(parseFloat(text) || 0) < 10 ? 0.1 : 1;
}

/** The typed text with its leading number moved by the steps; any unit typed behind it stays. */
export function stepped(text, direction) {
    const match = text.trim().replace(',', '.').match(/^([-−]?\d*\.?\d*)(.*)$/);
    const number = parseFloat(match[1].replace('−', '-')) || 0;
    const size = stepOf(match[1]);
    const moved = Math.max(text.trim().startsWith('-') || number < 0 ? -Infinity : 0, number + direction * size);
    return `${moved.toFixed(size < 1 ? Math.max(1, (match[1].split('.')[1] ?? '').length) : 0)}${match[2]}`;
}

export function watchForms() {
    document.addEventListener('click', (event) => {
        const button = around(event, '[data-step]', HTMLElement);
        const input = button && one('input', HTMLInputElement, button.parentElement);
        if (input) {
            input.value = stepped(input.value, Number(button.dataset.step));
            input.dispatchEvent(new Event('input', { bubbles: true }));
        }
    });
    document.addEventListener('input', (event) =>
        around(event, 'form', HTMLFormElement)?.setAttribute('data-touched', ''),
    );
    document.addEventListener('change', (event) => {
        const fold = around(event, '[data-fold]', HTMLDetailsElement);
        const chosen = fold && one('[data-chosen]', HTMLElement, fold);
        const label = around(event, 'label', HTMLElement);
        if (chosen && label) {
            chosen.textContent = label.textContent.trim();
            fold.open = false;
        }
    });
    document.addEventListener('submit', (event) => {
        const form = around(event, '[data-once]', HTMLFormElement);
        if (!form) {
            return;
        }
        if (form.dataset.sent) {
            event.preventDefault();
            return;
        }
        form.dataset.sent = '1';
        setTimeout(() => delete form.dataset.sent, 4000);
    });
    one('[aria-invalid="true"]', HTMLElement)?.focus();
}
