// What instruments send, beside the step: the newest numbers large, the curve, and silence said. The page asks for what is new and
// draws that; what counts of it is judged by the server, and stands on the page like any other entry.

import { all, around, one } from './dom.js';

const ASK_MS = 1500;
/** Said when nothing came for so long while an engine runs, s. */
const SILENT_S = 30;
const KEEP_S = 3600;
/** What not every instrument sends. */
const MAY_LACK = ['far', 'outlet', 'rpm'];
/** So much of a curve stands around a moment that is looked at, s. */
const BEFORE_S = 180;
const AFTER_S = 90;
/** A limit nearer than this is said. */
const SOON_MIN = 5;

/** @typedef {{ t: number[], v: number[] }} Channel */

const drawn = new WeakMap();

/** A colour of the theme as a canvas takes it. */
function colour(name) {
    const probe = document.createElement('span');
    probe.style.color = `var(--color-${name})`;
    document.body.append(probe);
    const resolved = getComputedStyle(probe).color;
    probe.remove();
    return resolved;
}

/** The newest value of the first of these channels that has one. */
function newest(channels, ...names) {
    for (const name of names) {
        const channel = channels.get(name) ?? [...channels].find(([key]) => key.startsWith(`${name}.`))?.[1];
        if (channel && channel.v.length > 0) {
            return channel.v[channel.v.length - 1];
        }
    }
    return null;
}

/**
 * Several channels on one line of time.
 *
 * @param {Map<string, Channel>} channels
 * @param {string[]} names
 * @returns {import('uplot').AlignedData}
 */
export function aligned(channels, names) {
    const times = [...new Set(names.flatMap((name) => channels.get(name)?.t ?? []))].sort((a, b) => a - b);
    const place = new Map(times.map((t, i) => [t, i]));
    const rows = names.map((name) => {
        /** @type {(number | undefined)[]} */
        const row = new Array(times.length).fill(undefined);
        const channel = channels.get(name);
        channel?.t.forEach((t, i) => {
            row[place.get(t) ?? 0] = channel.v[i];
        });
        return row;
    });
    return /** @type {import('uplot').AlignedData} */ (/** @type {unknown} */ ([times, ...rows]));
}

/** One beep each time an engine is to be shut off: heard where nobody looks. */
function sound() {
    try {
        const audio = new AudioContext();
        const tone = audio.createOscillator();
        tone.type = 'square';
        tone.frequency.value = 880;
        tone.connect(audio.destination);
        tone.start();
        tone.stop(audio.currentTime + 0.7);
    } catch {
        // Without a loudspeaker it is seen.
    }
}

class Panel {
    /** @param {HTMLElement} place */
    constructor(place) {
        this.place = place;
        /** @type {Map<string, Channel>} */
        this.channels = new Map();
        this.last = null;
        this.asking = false;
        this.warned = false;
        this.told = null;
        this.plot = null;
    }

    show(name, text) {
        const at = one(`[data-shows="${name}"]`, HTMLElement, this.place);
        if (at && at.textContent !== text) {
            at.textContent = text;
            const holder = at.closest('p');
            if (holder && MAY_LACK.includes(name)) {
                holder.hidden = text === '–';
            }
        }
    }

    async ask() {
        if (this.asking || document.hidden) {
            return;
        }
        this.asking = true;
        try {
            await this.drive();
            const since = this.last === null ? '' : `?since=${this.last}`;
            const response = await fetch(`${this.place.dataset.series}${since}`, {
                headers: { Accept: 'application/json' },
                cache: 'no-store',
            });
            if (response.ok) {
                this.take(await response.json());
                await this.draw();
            }
        } catch {
            // The page says itself that it is cut off.
        } finally {
            this.asking = false;
            this.place.dataset.asked = String(Number(this.place.dataset.asked ?? 0) + 1);
        }
    }

    /** A vehicle that is not there sends through the door, as a cable would. */
    async drive() {
        const { standIn, door } = this.place.dataset;
        if (!standIn || !door) {
            return;
        }
        const since = this.driven === undefined ? '' : `?since=${this.driven}`;
        const lines = await fetch(`${standIn}${since}`, { cache: 'no-store' });
        const body = lines.ok ? await lines.text() : '';
        if (body !== '') {
            const sent = await fetch(door, { method: 'POST', body, headers: { 'Content-Type': 'text/csv' } });
            this.driven = sent.ok
                ? Math.max(...body.split('\n').map((line) => Number(line.split(',')[1])))
                : this.driven;
        }
    }

    take(answer) {
        this.told = { ...answer, shown: this.shown };
        for (const [name, { t, v }] of Object.entries(answer.channels)) {
            const known = this.channels.get(name) ?? { t: [], v: [] };
            const from = known.t.length === 0 ? -Infinity : known.t[known.t.length - 1];
            t.forEach((at, i) => {
                if (at > from) {
                    known.t.push(at);
                    known.v.push(v[i]);
                }
            });
            const old = known.t.findIndex((at) => at > answer.now / 1000 - KEEP_S);
            if (old > 0) {
                known.t.splice(0, old);
                known.v.splice(0, old);
            }
            this.channels.set(name, known);
        }
        const ends = [...this.channels.values()].map((channel) => channel.t[channel.t.length - 1] ?? 0);
        this.last = ends.length === 0 ? this.last : Math.round(Math.max(...ends) * 1000);
        const degrees = (value) =>
            value === null || value === undefined ? '–' : `${Math.round(value)} ${answer.unit}`;
        this.show('coolant', degrees(newest(this.channels, 'coolant_c')));
        this.show('far', degrees(newest(this.channels, 'far_side_c')));
        this.show('outlet', degrees(newest(this.channels, 'outlet_c')));
        const { draws } = this.place.dataset;
        const gauge = draws ? newest(this.channels, draws) : null;
        this.show('gauge', gauge === null ? '–' : `${gauge.toFixed(1)} ${draws === 'pressure_kpa' ? 'kPa' : 'inHg'}`);
        const rpm = newest(this.channels, 'rpm');
        this.show('rpm', rpm === null ? '–' : String(Math.round(rpm / 10) * 10));
        this.show('limit', degrees(answer.limit));
        const minutes = answer.minutes_to_limit;
        this.show(
            'minutes',
            minutes === null || minutes === undefined || minutes >= SOON_MIN
                ? ''
                : `${Math.max(0, Math.round(minutes))} min to shut off, as it climbs now`,
        );
        const silent = one('[data-shows="silent"]', HTMLElement, this.place);
        if (silent) {
            silent.hidden = !(answer.runs && answer.silent_s !== null && answer.silent_s > SILENT_S);
            silent.textContent = silent.hidden
                ? ''
                : `Nothing has come for ${answer.silent_s} s, and the engine runs. Look at the dash, and at the cable.`;
        }
        const warns = answer.danger || (silent !== null && !silent.hidden);
        if (warns && !this.warned) {
            sound();
        }
        this.warned = warns;
    }

    async draw() {
        const place = one('[data-curve]', HTMLElement, this.place);
        const names = this.place.dataset.draws
            ? [this.place.dataset.draws].filter((name) => this.channels.has(name))
            : [
                  'coolant_c',
                  'far_side_c',
                  ...[...this.channels.keys()].filter((name) => name.startsWith('outlet_c')),
              ].filter((name) => this.channels.has(name));
        if (!place || names.length === 0) {
            return;
        }
        const rows = aligned(this.channels, names);
        const dressed = `${names.join()} ${colour('ink')}`;
        if (this.plot === null || this.dressed !== dressed) {
            this.plot?.destroy();
            const { curve } = await import('./curve.js');
            this.dressed = dressed;
            this.plot = curve(place, names, { colour, told: () => this.told });
        }
        this.plot.setData(rows, this.shown === undefined);
        this.tabulate(names);
    }

    /** The stretch around one moment, large; the same moment once more, and all of it is back. */
    showAt(second) {
        this.shown = this.shown === second ? undefined : second;
        if (this.told !== null) {
            this.told.shown = this.shown;
        }
        if (this.plot !== null) {
            const times = this.plot.data[0];
            this.shown === undefined
                ? this.plot.setScale('x', { min: times[0], max: times[times.length - 1] })
                : this.plot.setScale('x', { min: this.shown - BEFORE_S, max: this.shown + AFTER_S });
        }
        one('[data-curve]', HTMLElement, this.place)?.scrollIntoView({ block: 'center' });
    }

    /** The same numbers by minute, for whoever reads and does not see. */
    tabulate(names) {
        const table = one('[data-curve-table]', HTMLElement, this.place);
        if (!table || !table.closest('details')?.open) {
            return;
        }
        const rows = new Map();
        for (const name of names) {
            this.channels.get(name)?.t.forEach((t, i) => {
                const minute = Math.floor(t / 60);
                rows.set(minute, { ...rows.get(minute), [name]: this.channels.get(name)?.v[i] });
            });
        }
        const cells = (tag, texts) => {
            const row = document.createElement('tr');
            for (const text of texts) {
                const cell = document.createElement(tag);
                cell.textContent = text;
                row.append(cell);
            }
            return row;
        };
        const label = { coolant_c: 'coolant', far_side_c: 'far side' };
        table.replaceChildren(
            cells('th', [
                'at',
                ...names.map((name) => label[name] ?? name.replace('outlet_c', 'outlet').replace('.', ' ')),
            ]),
            ...[...rows]
                .sort(([a], [b]) => b - a)
                .map(([minute, values]) =>
                    cells('td', [
                        new Date(minute * 60000).toTimeString().slice(0, 5),
                        ...names.map((name) => (values[name] === undefined ? '' : String(values[name]))),
                    ]),
                ),
        );
    }
}

function look() {
    for (const place of all('[data-series]', HTMLElement)) {
        if (!drawn.has(place)) {
            drawn.set(place, new Panel(place));
        }
        drawn.get(place).ask();
    }
}

export function followInstruments() {
    if (document.body.dataset.about !== undefined) {
        look();
        setInterval(look, ASK_MS);
        document.addEventListener('click', (event) => {
            const moment = around(event, '[data-shows-at]', HTMLElement);
            const place = one('[data-series]', HTMLElement);
            moment && place && drawn.get(place)?.showAt(Number(moment.dataset.showsAt));
        });
    }
}
