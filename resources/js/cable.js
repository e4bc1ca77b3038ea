// A cable at this very tablet: what an adapter says line by line goes through the door of the job, like what any other instrument sends.
// Where the browser knows no cables, nothing of it is shown.

import { all, around, one } from './dom.js';

const SEND_MS = 1000;
/** A scan tool is asked, in turn: coolant, engine speed, road speed (SAE J1979, mode 01, from memory). */
const ASKED = ['0105', '010C', '010D'];
const ASK_MS = 300;
/** Echo off, line feeds off, the protocol of the car found by itself: common to line-based adapters (common practice, no source). */
const BEFORE = ['ATE0', 'ATL0', 'ATSP0'];
/** Bytes of an answer, by what was asked. */
const BYTES = { '05': 1, '0C': 2, '0D': 1, '0F': 1 };
const KEPT = 1200;

/**
 * What an adapter said, as a line for the door; null where it says nothing that is read.
 *
 * @param {string} said
 * @param {number} second  when it was said
 * @returns {string | null}
 */
export function lineOf(said, second) {
    const text = said.trim();
    const at = second.toFixed(2);
    const answer = /41\s?(05|0C|0D|0F)((?:\s?[0-9A-F]{2})+)/i.exec(text);
    if (answer && !/[g-z_]/i.test(text)) {
        const pid = answer[1].toUpperCase();
        const bytes = answer[2].replaceAll(/\s/g, '').slice(0, 2 * BYTES[pid]);
        return bytes.length === 2 * BYTES[pid] ? `pid:${pid},${at},${bytes.toUpperCase()}` : null;
    }
    if (/^[a-z_]+(\.[\w-]+)?,[^,]+,[^,]+/i.test(text)) {
        return text; // with its own time
    }
    const bare = /^([a-z][a-z_]*(?:\.[\w-]+)?)\s*[=:\s]\s*(-?\d+(?:\.\d+)?)\s*(.*)$/i.exec(text);
    return bare ? `${bare[1]},${at},${bare[2]}${bare[3] === '' ? '' : `,${bare[3]}`}` : null;
}

/**
 * Reads until the cable ends.
 *
 * @param {ReadableStream<Uint8Array>} from
 * @param {(line: string) => void} take  each line as it was said
 */
export async function readLines(from, take) {
    const reader = from.getReader();
    const decoder = new TextDecoder();
    let rest = '';
    for (;;) {
        const { done, value } = await reader.read();
        if (done) {
            return;
        }
        const parts = (rest + decoder.decode(value, { stream: true })).split(/[\r\n>]+/);
        rest = parts.pop() ?? '';
        parts.filter((part) => part.trim() !== '').forEach(take);
    }
}

/** @param {HTMLElement} place */
async function open(place) {
    const say = (/** @type {string} */ text) => {
        const told = one('[role=status]', HTMLElement, place);
        told && (told.textContent = text);
    };
    const speed = Number(one('select[name=speed]', HTMLSelectElement, place)?.value ?? 38400);
    const isAsked = one('select[name=adapter]', HTMLSelectElement, place)?.value !== 'sends';
    const serial = /** @type {any} */ (navigator).serial;
    try {
        const port = await serial.requestPort();
        await port.open({ baudRate: speed });
        say('Listening…');
        /** @type {string[]} */
        let waiting = [];
        let sent = 0;
        const send = setInterval(async () => {
            const some = waiting.splice(0, KEPT);
            if (some.length === 0) {
                return;
            }
            try {
                const answer = await fetch(place.dataset.cable ?? '', {
                    method: 'POST',
                    body: some.join('\n'),
                    headers: { 'Content-Type': 'text/csv' },
                });
                if (answer.ok) {
                    sent += some.length;
                    say(`${sent} lines went to the shop.`);
                } else {
                    say((await answer.json()).message ?? 'The shop did not take it.');
                }
            } catch {
                waiting = [...some, ...waiting].slice(-KEPT); // cut off: they go with the next
            }
        }, SEND_MS);
        const ask = isAsked ? asking(port) : null;
        await readLines(port.readable, (said) => {
            const line = lineOf(said, Date.now() / 1000);
            line !== null && waiting.push(line);
        }).finally(() => {
            ask !== null && clearInterval(ask);
            setTimeout(() => clearInterval(send), 2 * SEND_MS);
        });
        say('The cable has ended.');
    } catch (/** @type {any} */ problem) {
        say(
            problem?.name === 'NotFoundError'
                ? 'No cable was chosen.'
                : 'The cable cannot be opened: another program may have it.',
        );
    }
}

/** @param {any} port */
function asking(port) {
    const writer = port.writable.getWriter();
    const turn = [...BEFORE];
    let next = 0;
    return setInterval(() => {
        const what = turn.shift() ?? ASKED[next++ % ASKED.length];
        writer.write(new TextEncoder().encode(`${what}\r`)).catch(() => {});
    }, ASK_MS);
}

export function offerCables() {
    const show = () => {
        if ('serial' in navigator) {
            all('[data-cable]', HTMLElement).forEach((place) => { place.hidden = false; });
        }
    };
    show();
    document.addEventListener('shown', show);
    document.addEventListener('click', (event) => {
        const place = around(event, '[data-cable-opens]', HTMLElement)?.closest('[data-cable]');
        place instanceof HTMLElement && open(place);
    });
}
