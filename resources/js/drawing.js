// What is done to a circuit in its drawing: a point put on a hose, two nodes connected. Documents go in, and come out changed.

/** Further from any hose than this, nothing was meant, in pixels. */
const NEAR_PX = 40;
const SHORT = 0.02;

/**
 * The passage nearest to a place in the drawing, and how far along it that is.
 *
 * @param {any} doc
 * @param {Map<string, [number, number]>} places  of the nodes, in pixels
 * @param {[number, number]} at
 * @returns {{ id: string, share: number } | null} null where none is near
 */
export function nearest(doc, places, at) {
    let best = null;
    for (const passage of doc.passages) {
        const [from, to] = [places.get(passage.from), places.get(passage.to)];
        if (!from || !to) {
            continue;
        }
        const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
        const long = dx * dx + dy * dy;
        const share =
            long === 0 ? 0.5 : Math.min(1, Math.max(0, ((at[0] - from[0]) * dx + (at[1] - from[1]) * dy) / long));
        const distance = Math.hypot(at[0] - from[0] - share * dx, at[1] - from[1] - share * dy);
        if (distance <= NEAR_PX && (best === null || distance < best.distance)) {
            best = { id: passage.id, share, distance };
        }
    }
    return best === null ? null : { id: best.id, share: best.share };
}

/**
 * A passage in two, with a node between them that holds a bleed point: what it holds is shared by where it was cut.
 *
 * @param {any} doc
 * @param {string} id
 * @param {number} share  how far along it, 0 to 1
 * @param {{ node: string, passage: string, port: string }} fresh  ids that nobody has
 */
export function withPoint(doc, id, share, fresh) {
    const passage = doc.passages.find((one) => one.id === id);
    const [from, to] = [
        doc.nodes.find((one) => one.id === passage.from),
        doc.nodes.find((one) => one.id === passage.to),
    ];
    const cut = Math.min(1 - SHORT, Math.max(SHORT, share));
    const between = (a, b) => Math.round(a + cut * (b - a));
    const part = (of) => Math.round(10 * passage.volume_ml * of) / 10;
    return {
        ...doc,
        nodes: [
            ...doc.nodes,
            {
                id: fresh.node,
                x_mm: between(from.x_mm, to.x_mm),
                z_mm: between(from.z_mm, to.z_mm),
                label: `on ${passage.label ?? id}`.slice(0, 80),
                known_by: 'layout',
            },
        ],
        passages: doc.passages.flatMap((one) =>
            one.id !== id
                ? [one]
                : [
                      { ...one, to: fresh.node, volume_ml: part(cut) },
                      { ...one, id: fresh.passage, from: fresh.node, volume_ml: part(1 - cut), parts: undefined },
                  ],
        ),
        ports: [...doc.ports, { id: fresh.port, node: fresh.node, kind: 'bleed', label: 'new point' }],
    };
}

/** Two nodes with a hose between them; the same two are not connected twice. */
export function connected(doc, from, to, id) {
    const known = doc.passages.some(
        (one) => (one.from === from && one.to === to) || (one.from === to && one.to === from),
    );
    return from === to || known
        ? doc
        : {
              ...doc,
              passages: [
                  ...doc.passages,
                  { id, from, to, volume_ml: 100, kind: 'hose', label: 'new hose', known_by: 'layout' },
              ],
          };
}
