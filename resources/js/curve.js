// The curve of a hot run: coolant, far side and outlets against time, the levels that matter as lines, and what was found as marks.

import uPlot from 'uplot';
import 'uplot/dist/uPlot.min.css';

const HEIGHT = 240;
const GAUGES = ['vacuum_inhg', 'pressure_kpa'];
const STROKES = {
    vacuum_inhg: ['coolant', 4, []],
    pressure_kpa: ['coolant', 4, []],
    coolant_c: ['coolant', 4, []],
    far_side_c: ['ink', 2, []],
};
const OUTLET = ['level', 2, [2, 4]];
const NAMES = { coolant_c: 'coolant', far_side_c: 'far side', vacuum_inhg: 'gauge, inHg', pressure_kpa: 'gauge, kPa' };

/** Where names of levels would lie on each other, the first of these stands. */
const IMPORTANT = ['shut off', 'fan on', 'thermostat opens', 'wide open'];

/** A name that lines do not run through. */
function say(ctx, text, x, y, ratio, colour) {
    ctx.save();
    ctx.setLineDash([]);
    ctx.lineJoin = 'round';
    ctx.lineWidth = 5 * ratio;
    ctx.strokeStyle = colour('panel');
    ctx.strokeText(text, x, y);
    ctx.restore();
    ctx.fillText(text, x, y);
}

/** The levels that matter as lines, each with its name where there is room. */
function levels(drawn, all, row, ratio, colour) {
    const { ctx, bbox } = drawn;
    const named = [];
    for (const level of [...all].sort((a, b) => IMPORTANT.indexOf(a.text) - IMPORTANT.indexOf(b.text))) {
        const y = drawn.valToPos(level.v, 'y', true);
        if (y < bbox.top || y > bbox.top + bbox.height) {
            continue;
        }
        const last = level.text === 'shut off';
        ctx.strokeStyle = colour(last ? 'stop' : 'quiet');
        ctx.fillStyle = ctx.strokeStyle;
        ctx.lineWidth = (last ? 2 : 1) * ratio;
        ctx.setLineDash(last ? [] : [4 * ratio, 4 * ratio]);
        ctx.beginPath();
        ctx.moveTo(bbox.left, y);
        ctx.lineTo(bbox.left + bbox.width, y);
        ctx.stroke();
        const text = `${level.text} ${Math.round(level.v)}°`;
        const width = ctx.measureText(text).width;
        const left = Math.max(
            bbox.left + 6 * ratio,
            ...named.filter((other) => Math.abs(other.y - y) < row).map((other) => other.right + 10 * ratio),
        );
        if (left + width < bbox.left + 0.75 * bbox.width) {
            named.push({ text, left, y, right: left + width, ink: ctx.fillStyle });
        }
    }
    ctx.textAlign = 'left';
    for (const { text, left, y, ink } of named) {
        ctx.fillStyle = ink;
        say(ctx, text, left, y - 4 * ratio, ratio, colour);
    }
    ctx.setLineDash([]);
}

/** What was found: the fan as a band while it ran, everything else as a mark with its name. */
function found(drawn, marks, row, ratio, colour) {
    const { ctx, bbox } = drawn;
    const at = (t) => Math.min(bbox.left + bbox.width, Math.max(bbox.left, drawn.valToPos(t, 'x', true)));
    const foot = bbox.top + bbox.height;
    const inSight = (t) => t >= drawn.scales.x.min && t <= drawn.scales.x.max;
    ctx.fillStyle = colour('ink');
    ctx.strokeStyle = colour('ink');
    ctx.lineWidth = ratio;
    ctx.textAlign = 'center';
    marks.forEach((mark, i) => {
        if (mark.text === 'fan on') {
            const off = marks.slice(i).find((other) => other.text === 'fan off')?.t ?? drawn.scales.x.max;
            const [from, to] = [at(mark.t), at(off)];
            ctx.globalAlpha = 0.25;
            ctx.fillRect(from, bbox.top, Math.max(2 * ratio, to - from), bbox.height);
            ctx.globalAlpha = 1;
            if (to > from) {
                say(ctx, 'fan', (from + to) / 2, foot - 6 * ratio, ratio, colour);
            }
        } else if (mark.text !== 'fan off' && inSight(mark.t)) {
            ctx.beginPath();
            ctx.moveTo(at(mark.t), foot);
            ctx.lineTo(at(mark.t), foot - 2 * row);
            ctx.stroke();
            say(ctx, mark.text, at(mark.t), foot - 2 * row - 4 * ratio, ratio, colour);
        }
    });
}

/**
 * @param {HTMLElement} place
 * @param {string[]} names  channels, in order
 * @param {{ colour: (name: string) => string, told: () => any }} of
 */
export function curve(place, names, { colour, told }) {
    const font = getComputedStyle(document.body).fontFamily;
    const axis = {
        stroke: colour('quiet'),
        grid: { stroke: colour('rule'), width: 1 },
        ticks: { stroke: colour('rule'), width: 1 },
        font: `14px ${font}`,
    };
    const plot = new uPlot(
        {
            width: place.clientWidth || 600,
            height: HEIGHT,
            legend: { show: false },
            cursor: { show: false },
            scales: {
                x: { time: true },
                y: {
                    range: (_, low, high) => {
                        if (GAUGES.includes(names[0])) {
                            // A needle is looked at closely: half an inch is as high as a finger.
                            return [Math.floor((low ?? 20) - 1), Math.ceil((high ?? 22) + 1)];
                        }
                        const lines = (told()?.levels ?? []).map((level) => level.v);
                        return [Math.min(low ?? 20, 20), Math.max(high ?? 60, ...lines) + 8];
                    },
                },
            },
            axes: [
                { ...axis, space: 80, values: (_, at) => at.map((t) => new Date(t * 1000).toTimeString().slice(0, 5)) },
                { ...axis, size: 56, values: (_, at) => at.map((v) => (GAUGES.includes(names[0]) ? `${v}` : `${v}°`)) },
            ],
            series: [
                {},
                ...names.map((name) => {
                    const [tone, width, dash] = STROKES[name] ?? OUTLET;
                    return { label: name, stroke: colour(tone), width, dash, spanGaps: true, points: { show: false } };
                }),
            ],
            hooks: {
                // Beneath what was read.
                drawAxes: [
                    (drawn) => {
                        const ratio = devicePixelRatio || 1;
                        drawn.ctx.save();
                        drawn.ctx.font = `600 ${13 * ratio}px ${font}`;
                        levels(
                            drawn,
                            GAUGES.includes(names[0]) ? [] : (told()?.levels ?? []),
                            15 * ratio,
                            ratio,
                            colour,
                        );
                        drawn.ctx.restore();
                    },
                ],
                draw: [
                    (drawn) => {
                        const { ctx } = drawn;
                        const ratio = devicePixelRatio || 1;
                        ctx.save();
                        ctx.font = `600 ${13 * ratio}px ${font}`;
                        const row = 15 * ratio;
                        const shown = told()?.shown;
                        if (shown !== undefined) {
                            // The moment that is looked at.
                            const x = drawn.valToPos(shown, 'x', true);
                            ctx.fillStyle = colour('go');
                            ctx.globalAlpha = 0.5;
                            ctx.fillRect(x - 5 * ratio, drawn.bbox.top, 10 * ratio, drawn.bbox.height);
                            ctx.globalAlpha = 1;
                        }
                        found(drawn, told()?.marks ?? [], row, ratio, colour);
                        // Each line carries its name at its end.
                        const ends = [];
                        names.forEach((name, i) => {
                            const values = drawn.data[i + 1];
                            let end = values.length - 1;
                            while (end > 0 && values[end] === undefined) {
                                end--;
                            }
                            const value = values[end];
                            if (value === undefined || value === null) {
                                return;
                            }
                            ends.push({
                                name,
                                x: drawn.valToPos(drawn.data[0][end], 'x', true) - 6 * ratio,
                                y: drawn.valToPos(value, 'y', true) - 8 * ratio,
                            });
                        });
                        ends.sort((a, b) => b.y - a.y).forEach((end, i) => {
                            end.y = i > 0 ? Math.min(end.y, ends[i - 1].y - row) : end.y;
                            ctx.fillStyle = colour((STROKES[end.name] ?? OUTLET)[0]);
                            ctx.textAlign = 'right';
                            say(
                                ctx,
                                NAMES[end.name] ?? end.name.replace('outlet_c', 'outlet').replace('.', ' '),
                                end.x,
                                end.y,
                                ratio,
                                colour,
                            );
                        });
                        ctx.restore();
                    },
                ],
            },
        },
        [[], ...names.map(() => [])],
        place,
    );
    new ResizeObserver(() => plot.setSize({ width: place.clientWidth, height: HEIGHT })).observe(place);
    return plot;
}
