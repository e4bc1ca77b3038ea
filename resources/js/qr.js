import { create } from 'qrcode';

const NAMESPACE = 'http://www.w3.org/2000/svg';
const QUIET = 4; // modules around it, by the standard (ISO/IEC 18004, from memory)

/**
 * Draws a text as a QR code, here in the browser: it goes nowhere.
 *
 * @param {HTMLElement} place
 * @param {string} text
 */
export function draw(place, text) {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    const side = modules.size + 2 * QUIET;
    const svg = document.createElementNS(NAMESPACE, 'svg');
    svg.setAttribute('viewBox', `0 0 ${side} ${side}`);
    svg.setAttribute('role', 'img');
    svg.setAttribute('aria-label', `QR code of ${text}`);
    const dots = document.createElementNS(NAMESPACE, 'path');
    let path = '';
    for (let row = 0; row < modules.size; row++) {
        for (let column = 0; column < modules.size; column++) {
            if (modules.get(row, column)) {
                path += `M${column + QUIET} ${row + QUIET}h1v1h-1z`;
            }
        }
    }
    dots.setAttribute('d', path);
    svg.append(dots);
    place.replaceChildren(svg);
}
