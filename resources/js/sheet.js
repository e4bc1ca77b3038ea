// A choice on a sheet that brings steps of its own ends the sheet there: what stands below is asked after them.

import { all, around, one } from './dom.js';

export function followSheet() {
    document.addEventListener('change', (event) => {
        const block = around(event, '[data-branch]', HTMLElement);
        const choice = around(event, 'input[type=radio]', HTMLInputElement);
        const upTo = block && one('[data-upto]', HTMLInputElement, block.closest('form'));
        if (!block || !choice || !upTo || !choice.closest('[data-branching]')) {
            return;
        }
        const ends = choice.value !== block.dataset.branch;
        upTo.value = ends ? block.dataset.block : '';
        const blocks = all('.sheet-block', HTMLElement, block.closest('form'));
        blocks.slice(blocks.indexOf(block) + 1).forEach((below) => { below.hidden = ends; });
    });
}
