import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import test from 'node:test';

import { lineOf, readLines } from '../../resources/js/cable.js';
import { countdown } from '../../resources/js/clocks.js';
import { connected, nearest, withPoint } from '../../resources/js/drawing.js';
import { freshId, goingWith, listed, scaledTo, without } from '../../resources/js/editor.js';
import { stepped } from '../../resources/js/forms.js';
import { placeAt } from '../../resources/js/order.js';
import {
    counted,
    dealtWith,
    drop,
    keep,
    pageOf,
    refuse,
    refused,
    takeOver,
    typedIn,
    waiting,
} from '../../resources/js/outbox.js';
import { withLine } from '../../resources/js/routine.js';
import { outcome } from '../../resources/js/send.js';

test('a countdown shows hours only when there are some, and ends', () => {
    assert.equal(countdown(245), '4:05');
    assert.equal(countdown(0.2), '0:01');
    assert.equal(countdown(3723), '1:02:03');
    assert.equal(countdown(0), null);
    assert.equal(countdown(-5), null);
});

test('steppers move the number and leave a typed unit alone', () => {
    assert.equal(stepped('', 1), '0.1');
    assert.equal(stepped('1.2', 1), '1.3');
    assert.equal(stepped('0.05', -1), '0.00');
    assert.equal(stepped('21 inHg', -1), '20 inHg');
    assert.equal(stepped('1,5 l', 1), '1.6 l');
    assert.equal(stepped('-36', 1), '-35');
});

test('scaled volumes add up to the capacity and keep their shares', () => {
    const scaled = scaledTo([{ id: 'a', volume_ml: 100 }, { id: 'b', volume_ml: 300 }], 1000);
    assert.deepEqual(scaled.map((p) => p.volume_ml), [250, 750]);
    assert.deepEqual(Object.keys(scaled[0]), ['id', 'volume_ml']);
});

test('a fresh id is used by nobody', () => {
    assert.equal(freshId([{ id: 'n1' }, { id: 'n3' }], 'n'), 'n4');
    assert.equal(freshId([], 'p'), 'p1');
});

test('entries that wait are kept in order, photographs too, each key once', async () => {
    assert.deepEqual(await waiting(), []);
    await keep({ key: 'b', at: 1 });
    await keep({ key: 'a', at: 2, fields: [['photo', new Blob(['a picture'])]] });
    await keep({ key: 'b', at: 3 });
    assert.deepEqual((await waiting()).map((entry) => [entry.key, entry.at]), [['b', 1], ['a', 2]]);
    assert.equal(await (await waiting())[1].fields[0][1].text(), 'a picture');
    await drop('b');
    await drop('b');
    assert.deepEqual((await waiting()).map((entry) => entry.key), ['a']);
    await drop('a');
    assert.equal(counted(1), '1 entry is');
    assert.equal(counted(3), '3 entries are');
});

test('what an earlier version kept is taken over, and a damaged list is an empty one', async () => {
    const held = { 'aqbel.waiting': '[{"key":"old","fields":[]}]', 'aqbel.refused': 'rubbish' };
    const storage = { getItem: (name) => held[name] ?? null, removeItem: (name) => { delete held[name]; } };
    await takeOver(storage);
    assert.deepEqual((await waiting()).map((entry) => entry.key), ['old']);
    assert.deepEqual(held, {});
    await drop('old');
});

test('a typed list loses its blanks', () => {
    assert.deepEqual(listed('undertray, , intake '), ['undertray', 'intake']);
});

test('only a refusal for good gives an entry up', () => {
    const ours = { stored: true, key: 'k1', person: '7' };
    assert.equal(outcome(200, ours, 'k1', '7'), 'sent');
    const notStored = [
        null,
        {},
        { to: '/' },
        { ...ours, key: 'k2' },
        { ...ours, person: '8' },
        { ...ours, stored: false },
        { key: 'k1', person: '7' },
    ];
    for (const answer of notStored) {
        assert.equal(outcome(200, answer, 'k1', '7'), 'later', JSON.stringify(answer));
    }
    assert.equal(outcome(204, null, 'k1', '7'), 'later');
    for (const status of [401, 419]) {
        assert.equal(outcome(status, null, 'k1', '7'), 'sign-in');
    }
    assert.equal(outcome(409, { key: 'k1' }, 'k1', '7'), 'sign-in');
    for (const status of [0, 302, 403, 404, 409, 422, 429, 500, 502, 503, 507]) {
        assert.equal(outcome(status, null, 'k1', '7'), 'later', `${status} by somebody on the way`);
    }
    for (const status of [429, 500, 503, 507]) {
        assert.equal(outcome(status, { key: 'k1' }, 'k1', '7'), 'later', `${status}`);
    }
    for (const status of [403, 404, 405, 422]) {
        assert.equal(outcome(status, { key: 'k1' }, 'k1', '7'), 'refused', `${status}`);
    }
    assert.equal(outcome(413, null, 'k1', '7'), 'refused');
});

test('an entry refused after waiting stays with its reason until it is dealt with', async () => {
    const entry = {
        key: 'a',
        person: '1',
        action: '/jobs/3/entries',
        fields: [
            ['_token', 'x'],
            ['step', 'cold_check'],
            ['fields[ect]', '31'],
            ['fields[air]', ''],
        ],
    };
    await keep(entry);
    await refuse(entry, 'It was 95 °C a minute ago.');
    assert.deepEqual(await waiting(), []);
    assert.equal((await refused())[0].reason, 'It was 95 °C a minute ago.');
    assert.equal(typedIn((await refused())[0]), 'ect 31');
    assert.equal(typedIn({ ...entry, labels: { 'fields[ect]': 'Coolant' } }), 'Coolant 31');
    assert.equal(pageOf(entry), '/jobs/3?step=cold_check');
    await dealtWith('a');
    assert.deepEqual(await refused(), []);
});

test('an entry without a typed value says what it does', () => {
    assert.equal(typedIn({ action: '/jobs/3/finish', fields: [['step', 'hold:1']] }), 'Finish the step');
    assert.equal(
        typedIn({
            action: '/jobs/3/photos',
            fields: [
                ['photo', new Blob(['x'])],
                ['caption', 'clamp'],
            ],
        }),
        'Photograph',
    );
});

test('a shared tablet goes and asks who is there when nobody touched it, and never without being told to', async () => {
    const listeners = {};
    const timers = [];
    const went = [];
    globalThis.addEventListener = (sign, act) => { listeners[sign] = act; };
    globalThis.location = { href: '/vehicles', assign: (to) => went.push(to) };
    const { setInterval: real } = globalThis;
    globalThis.setInterval = (act) => { timers.push(act); return 0; };
    const { now } = Date;
    try {
        const { lockWhenIdle } = await import('../../resources/js/lock.js');
        lockWhenIdle(0);
        lockWhenIdle(Number.NaN);
        assert.equal(timers.length, 0);
        let clock = 1_000_000;
        Date.now = () => clock;
        lockWhenIdle(300);
        clock += 299_000;
        timers[0]();
        listeners.keydown();
        clock += 301_000;
        timers[0]();
        assert.deepEqual(went, [], 'touched meanwhile');
        clock += 2_000;
        timers[0]();
        timers[0]();
        assert.deepEqual(went, ['/vehicles'], 'once');
    } finally {
        Date.now = now;
        globalThis.setInterval = real;
    }
});

test('what goes with a node is said, and goes with it', () => {
    const doc = {
        nodes: [{ id: 'a' }, { id: 'b', follows: 'a' }, { id: 'c' }],
        passages: [
            { id: 'ab', from: 'a', to: 'b', label: 'Hose' },
            { id: 'bc', from: 'b', to: 'c', behind: ['tray'] },
        ],
        gates: [{ id: 'g', passage: 'ab', label: 'Valve' }],
        ports: [
            { id: 'p', node: 'a' },
            { id: 'q', node: 'c', behind: ['tray'] },
        ],
        covers: [{ id: 'tray' }],
    };
    assert.deepEqual(goingWith(doc, 'nodes', 'a').map((item) => item.id), ['ab', 'g', 'p']);
    assert.deepEqual(goingWith(doc, 'passages', 'ab').map((item) => item.id), ['g']);
    const left = without(doc, 'nodes', 'a');
    assert.deepEqual(
        [left.nodes.map((n) => n.id), left.passages.map((n) => n.id), left.gates, left.ports.map((n) => n.id)],
        [['b', 'c'], ['bc'], [], ['q']],
    );
    assert.equal(left.nodes[0].follows, undefined);
    const bare = without(doc, 'covers', 'tray');
    assert.deepEqual([bare.passages[1].behind, bare.ports[1].behind, bare.covers], [[], [], []]);
    assert.equal(doc.nodes.length, 3, 'the document itself stays');
});

test('a vehicle that is dragged gets the place where it is let go', () => {
    const rows = [
        { id: 'a', placed: true },
        { id: 'b', placed: true },
        { id: 'c', placed: false },
        { id: 'd', placed: false },
    ];
    assert.equal(placeAt(rows, 'd', 0), '1', 'before all');
    assert.equal(placeAt(rows, 'd', 1), '2', 'between those with a place');
    assert.equal(placeAt(rows, 'd', 2), '3', 'behind them');
    assert.equal(placeAt(rows, 'b', 0), '1', 'earlier');
    assert.equal(placeAt(rows, 'a', 2), '2', 'later');
    assert.equal(placeAt(rows, 'a', 4), '', 'among those the plan decides about');
    assert.equal(placeAt(rows, 'd', 3), '3', 'one of them pulled up gets a place');
});

test('a part of a routine is a line more', () => {
    assert.equal(withLine('', 'fill: to the mark'), 'fill: to the mark');
    assert.equal(withLine('Heater on full\n\n', 'fill: to the mark'), 'Heater on full\nfill: to the mark');
});

test('what a cable says becomes a line of the door, and what it chatters does not', () => {
    assert.equal(lineOf('41 05 7B', 12.5), 'pid:05,12.50,7B');
    assert.equal(lineOf('7E8 04 41 0C 0D 48', 3), 'pid:0C,3.00,0D48');
    assert.equal(lineOf('41057B', 1), 'pid:05,1.00,7B');
    assert.equal(lineOf('410C0D', 1), null, 'half an answer');
    assert.equal(lineOf('coolant_c 88.2 °C', 7), 'coolant_c,7.00,88.2,°C');
    assert.equal(lineOf('vacuum_inhg=21.5', 7), 'vacuum_inhg,7.00,21.5');
    assert.equal(lineOf('outlet_c.rear,12.5,131,°F', 7), 'outlet_c.rear,12.5,131,°F', 'its own time stays');
    for (const chatter of ['NO DATA', 'SEARCHING...', 'OK', '?', 'v1.5', '']) {
        assert.equal(lineOf(chatter, 1), null, chatter);
    }
});

test('lines of a cable are cut where they end, whatever came in one piece', async () => {
    const bytes = (text) => new TextEncoder().encode(text);
    const from = new ReadableStream({
        start(end) {
            ['41 0', '5 7B\r\r>41 0C 0D', ' 48\r\n', 'coolant_c 88', '.2 °', 'C\n'].forEach((some) =>
                end.enqueue(bytes(some)),
            );
            end.close();
        },
    });
    const said = [];
    await readLines(from, (line) => said.push(line));
    assert.deepEqual(said, ['41 05 7B', '41 0C 0D 48', 'coolant_c 88.2 °C']);
});

test('a point is put on the hose that is nearest, and what it holds is shared', () => {
    const doc = {
        nodes: [
            { id: 'a', x_mm: 0, z_mm: 100 },
            { id: 'b', x_mm: 200, z_mm: 300 },
            { id: 'c', x_mm: 400, z_mm: 300 },
        ],
        passages: [
            { id: 'ab', from: 'a', to: 'b', volume_ml: 400, kind: 'hose', label: 'Lower hose', parts: ['clamp'] },
            { id: 'bc', from: 'b', to: 'c', volume_ml: 50, kind: 'line' },
        ],
        gates: [{ id: 'g', passage: 'ab' }],
        ports: [{ id: 'p', node: 'a' }],
        covers: [],
    };
    const places = new Map([['a', [0, 0]], ['b', [100, 0]], ['c', [100, 200]]]);
    assert.deepEqual(nearest(doc, places, [25, 10]), { id: 'ab', share: 0.25 });
    assert.equal(nearest(doc, places, [500, 500]), null, 'nothing was meant');
    const made = withPoint(doc, 'ab', 0.25, { node: 'n', passage: 'p2', port: 'q' });
    assert.deepEqual(made.nodes[3], { id: 'n', x_mm: 50, z_mm: 150, label: 'on Lower hose', known_by: 'layout' });
    assert.deepEqual(
        made.passages.map((one) => [one.id, one.from, one.to, one.volume_ml]),
        [
            ['ab', 'a', 'n', 100],
            ['p2', 'n', 'b', 300],
            ['bc', 'b', 'c', 50],
        ],
    );
    assert.equal(made.passages[1].parts, undefined, 'a clamp is used up once');
    assert.deepEqual(made.ports[1], { id: 'q', node: 'n', kind: 'bleed', label: 'new point' });
    assert.equal(doc.passages.length, 2, 'the document itself stays');
    assert.equal(connected(doc, 'a', 'c', 'ac').passages.length, 3);
    assert.equal(connected(doc, 'b', 'a', 'x'), doc, 'connected already');
    assert.equal(connected(doc, 'a', 'a', 'x'), doc);
});
