// The circuit maker: the point that is asked for is lit in the drawing.

import { all, around, one } from './dom.js';

export function lightWhatIsAsked() {
    const form = one('[data-maker]', HTMLFormElement);
    if (!form) {
        return;
    }
    const light = (event) => {
        const node = around(event, '[data-lights]', HTMLElement)?.dataset.lights;
        all('[data-asked]', SVGElement, form).forEach((point) =>
            point.classList.toggle('is-asked', point.dataset.asked === node),
        );
    };
    form.addEventListener('focusin', light);
    form.addEventListener('focusout', light);
}
