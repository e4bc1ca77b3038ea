import assert from 'node:assert/strict';
import test from 'node:test';

import { countdown } from '../../resources/js/clocks.js';
import { freshId, listed, scaledTo } from '../../resources/js/editor.js';
import { stepped } from '../../resources/js/forms.js';
import { counted, dealtWith, drop, keep, refuse, refused, typedIn, waiting } from '../../resources/js/outbox.js';
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

test('entries that wait are kept in order, each key once', () => {
    const held = {};
    const store = { getItem: (name) => held[name] ?? null, setItem: (name, value) => { held[name] = value; } };
    assert.deepEqual(waiting(store), []);
    keep(store, { key: 'a', at: 1 });
    keep(store, { key: 'b', at: 2 });
    keep(store, { key: 'a', at: 1 });
    assert.deepEqual(waiting(store).map((entry) => entry.key), ['b', 'a']);
    drop(store, 'b');
    assert.deepEqual(waiting(store).map((entry) => entry.key), ['a']);
    held['aqbel.waiting'] = 'rubbish';
    assert.deepEqual(waiting(store), [], 'a damaged store is an empty one');
    assert.equal(counted(1), '1 entry is');
    assert.equal(counted(3), '3 entries are');
});

test('a typed list loses its blanks', () => {
    assert.deepEqual(listed('undertray, , intake '), ['undertray', 'intake']);
});

test('only a refusal for good gives an entry up', () => {
    assert.equal(outcome(200), 'sent');
    for (const status of [401, 419]) {
        assert.equal(outcome(status), 'sign-in');
    }
    for (const status of [0, 429, 500, 503]) {
        assert.equal(outcome(status), 'later');
    }
    for (const status of [403, 404, 413, 422]) {
        assert.equal(outcome(status), 'refused');
    }
});

test('an entry refused after waiting stays with its reason until it is dealt with', () => {
    const held = {};
    const store = { getItem: (name) => held[name] ?? null, setItem: (name, value) => { held[name] = value; } };
    const entry = { key: 'a', person: '1', action: '/jobs/3/entries', fields: [['_token', 'x'], ['step', 'cold_check'], ['fields[ect]', '31'], ['fields[air]', '']] };
    keep(store, entry);
    refuse(store, entry, 'It was 95 °C a minute ago.');
    assert.deepEqual(waiting(store), []);
    assert.equal(refused(store)[0].reason, 'It was 95 °C a minute ago.');
    assert.equal(typedIn(refused(store)[0]), 'ect 31');
    assert.equal(typedIn({ ...entry, labels: { 'fields[ect]': 'Coolant' } }), 'Coolant 31');
    dealtWith(store, 'a');
    assert.deepEqual(refused(store), []);
});
