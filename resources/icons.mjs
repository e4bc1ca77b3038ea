// Gathers the icons in use into one sprite, public/build/icons.svg, from the lucide set.
import { readFileSync, writeFileSync } from 'node:fs';

const names = ['camera', 'circle-check', 'clock-alert', 'cloud-off', 'eye', 'grip-vertical', 'hourglass', 'keyboard', 'octagon-x', 'plus', 'rotate-ccw', 'square', 'sun-moon', 'timer', 'triangle-alert', 'users', 'wrench'];
const symbols = names.map((name) => {
    const svg = readFileSync(`node_modules/lucide-static/icons/${name}.svg`, 'utf8');
    const inner = svg.slice(svg.indexOf('>', svg.indexOf('<svg')) + 1, svg.lastIndexOf('</svg>'));
    return `<symbol id="${name}" viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" stroke-linejoin="round">${inner.trim()}</symbol>`;
});
writeFileSync('public/build/icons.svg', `<svg xmlns="http://www.w3.org/2000/svg">${symbols.join('')}</svg>\n`);
