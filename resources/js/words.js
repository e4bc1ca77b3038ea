// A word that is pressed says what it means, beneath itself.

import { around, one } from './dom.js';

const GAP = 6;

export function explainWords() {
    document.addEventListener('click', (event) => {
        const word = around(event, '[data-word]', HTMLElement);
        const said = one('#word', HTMLElement);
        if (!word || !said) {
            return;
        }
        said.textContent = word.dataset.word ?? '';
        said.showPopover();
        const at = word.getBoundingClientRect();
        said.style.left = `${Math.max(GAP, Math.min(at.left, innerWidth - said.offsetWidth - GAP))}px`;
        said.style.top = `${at.bottom + GAP + said.offsetHeight > innerHeight ? at.top - said.offsetHeight - GAP : at.bottom + GAP}px`;
    });
}
