// Cuts the two faces down to what the pages use of them: the characters of their range, the weights from regular to bold.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';

const LATIN = 'U+0000-00FF, U+0131, U+0152-0153, U+02BB-02BC, U+02C6, U+02DA, U+02DC, U+0304, U+0308, U+0329, U+2000-206F, U+20AC, U+2122, U+2191, U+2193, U+2212, U+2215';
const LATIN_EXT = 'U+0100-02BA, U+02BD-02C5, U+02C7-02CC, U+02CE-02D7, U+02DD-02FF, U+0304, U+0308, U+0329, U+1D00-1DBF, U+1E00-1E9F, U+1EF2-1EFF, U+2020, U+20A0-20AB, U+20AD-20C0, U+2113, U+2C60-2C7F, U+A720-A7FF';
const WEIGHTS = { variationAxes: { wght: { min: 400, max: 700, default: 400 } } };
const FACES = [
    ['@fontsource-variable/atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-wght-normal', LATIN, WEIGHTS],
    ['@fontsource-variable/atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-ext-wght-normal', LATIN_EXT, WEIGHTS],
    ['@fontsource/saira-condensed', 'saira-condensed-latin-600-normal', LATIN, {}],
];

const characters = (range) =>
    range
        .split(', ')
        .flatMap((part) => {
            const [from, to = from] = part.slice(2).split('-').map((code) => parseInt(code, 16));

            return Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i));
        })
        .join('');

mkdirSync('resources/fonts', { recursive: true });
for (const [source, name, range, axes] of FACES) {
    const whole = readFileSync(`node_modules/${source}/files/${name}.woff2`);
    writeFileSync(`resources/fonts/${name}.woff2`, await subsetFont(whole, characters(range), { targetFormat: 'woff2', ...axes }));
}
