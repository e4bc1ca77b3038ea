// The curve of a hot run: coolant, far side and outlets against time, the levels that matter as lines, and what was found as marks.

import uPlot from 'uplot';
import 'uplot/dist/uPlot.min.css';

const HEIGHT = 240;
const STROKES = { coolant_c: ['level', 3, []], far_side_c: ['coolant', 3, []] };
const OUTLET = ['ink', 2, [6, 4]];
const NAMES = { coolant_c: 'coolant', far_side_c: 'far side' };

/**
 * @param {HTMLElement} place
 * @param {string[]} names  channels, in order
 * @param {{ colour: (name: string) => string, told: () => any }} of
 */
export function curve(place, names, { colour, told }) {
    const font = getComputedStyle(document.body).fontFamily;
    const axis = { stroke: colour('quiet'), grid: { stroke: colour('rule'), width: 1 }, ticks: { stroke: colour('rule'), width: 1 }, font: `14px ${font}` };
    const plot = new uPlot({
        width: place.clientWidth || 600,
        height: HEIGHT,
        legend: { show: false },
        cursor: { show: false },
        scales: {
            x: { time: true },
            y: {
                range: (_, low, high) => {
                    const levels = (told()?.levels ?? []).map((level) => level.v);
                    return [Math.min(low ?? 20, 20), Math.max(high ?? 60, ...levels.filter((v) => v - (high ?? 60) < 45)) + 6];
                },
            },
        },
        axes: [{ ...axis, space: 80, values: (_, at) => at.map((t) => new Date(t * 1000).toTimeString().slice(0, 5)) }, { ...axis, size: 56, values: (_, at) => at.map((v) => `${v}°`) }],
        series: [{}, ...names.map((name) => {
            const [tone, width, dash] = STROKES[name] ?? OUTLET;
            return { label: name, stroke: colour(tone), width, dash, spanGaps: true, points: { show: false } };
        })],
        hooks: {
            draw: [(drawn) => {
                const { ctx, bbox } = drawn;
                const ratio = devicePixelRatio || 1;
                ctx.save();
                ctx.font = `600 ${13 * ratio}px ${font}`;
                for (const level of told()?.levels ?? []) {
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
                    ctx.textAlign = 'left';
                    ctx.fillText(`${level.text} ${Math.round(level.v)}°`, bbox.left + 6 * ratio, y - 4 * ratio);
                }
                ctx.setLineDash([]);
                for (const mark of told()?.marks ?? []) {
                    const x = drawn.valToPos(mark.t, 'x', true);
                    if (x < bbox.left || x > bbox.left + bbox.width) {
                        continue;
                    }
                    ctx.fillStyle = colour('ink');
                    ctx.strokeStyle = colour('ink');
                    ctx.lineWidth = ratio;
                    ctx.beginPath();
                    ctx.moveTo(x, bbox.top + bbox.height);
                    ctx.lineTo(x, bbox.top + bbox.height - 26 * ratio);
                    ctx.stroke();
                    ctx.textAlign = 'center';
                    ctx.fillText(mark.text, x, bbox.top + bbox.height - 30 * ratio);
                }
                // Each line carries its name at its end.
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
                    ctx.fillStyle = colour((STROKES[name] ?? OUTLET)[0]);
                    ctx.textAlign = 'right';
                    ctx.fillText(NAMES[name] ?? name.replace('outlet_c', 'outlet').replace('.', ' '), drawn.valToPos(drawn.data[0][end], 'x', true) - 6 * ratio, drawn.valToPos(value, 'y', true) - 8 * ratio);
                });
                ctx.restore();
            }],
        },
    }, [[], ...names.map(() => [])], place);
    new ResizeObserver(() => plot.setSize({ width: place.clientWidth, height: HEIGHT })).observe(place);
    return plot;
}
