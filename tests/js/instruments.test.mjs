import assert from 'node:assert/strict';
import { test } from 'node:test';
import { aligned } from '../../resources/js/instruments.js';

test('channels that were read at different moments share one line of time, and nothing is made up between them', () => {
    const channels = new Map([
        ['coolant_c', { t: [1, 3], v: [40, 42] }],
        ['far_side_c', { t: [2, 3], v: [20, 21] }],
        ['rpm', { t: [9], v: [800] }],
    ]);
    assert.deepEqual(aligned(channels, ['coolant_c', 'far_side_c']), [
        [1, 2, 3],
        [40, undefined, 42],
        [undefined, 20, 21],
    ]);
    assert.deepEqual(aligned(channels, ['outlet_c']), [[], []]);
});
