// The circuit editor: one document in memory, edited by rows and by dragging; the core draws and predicts on the server.

import { all, around, one } from './dom.js';
import { connected, nearest, withPoint } from './drawing.js';

const TABLES = {
    nodes: { title: 'Nodes', fresh: (id) => ({ id, x_mm: 0, z_mm: 500, label: 'new node' }) },
    passages: {
        title: 'Passages',
        fresh: (id, doc) => ({
            id,
            from: doc.nodes[0].id,
            to: doc.nodes[1].id,
            volume_ml: 100,
            kind: 'hose',
            label: 'new passage',
        }),
    },
    gates: {
        title: 'Gates',
        fresh: (id, doc) => ({ id, passage: doc.passages[0].id, kind: 'valve', weeps: false, label: 'new gate' }),
    },
    ports: { title: 'Ports', fresh: (id, doc) => ({ id, node: doc.nodes[0].id, kind: 'bleed', label: 'new port' }) },
    covers: { title: 'Covers', fresh: (id) => ({ id, label: 'new cover', minutes: 5 }) },
};
const WAIT_MS = 250;

/** Whoever types one of these has measured it. */
const MEASURED = ['z_mm', 'volume_ml', 'weeps'];

/** All volumes times one factor, so that they add up to the capacity; rounded to 0.1 mL. */
export function scaledTo(passages, capacity) {
    const factor = capacity / passages.reduce((sum, passage) => sum + passage.volume_ml, 0);
    return passages.map((passage) => ({ ...passage, volume_ml: Math.round(passage.volume_ml * factor * 10) / 10 }));
}

/** "undertray, intake" as a list; empty entries fall away. */
export function listed(text, between = ',') {
    return text.split(between).map((entry) => entry.trim()).filter((entry) => entry !== '');
}

/** What goes with an item that is taken out: what runs to it, sits at it or in it. */
export function goingWith(doc, list, id) {
    const passages =
        list === 'nodes'
            ? doc.passages.filter((passage) => passage.from === id || passage.to === id)
            : list === 'passages'
              ? doc.passages.filter((passage) => passage.id === id)
              : [];
    const gates = (doc.gates ?? []).filter((gate) => passages.some((passage) => passage.id === gate.passage));
    const ports = list === 'nodes' ? doc.ports.filter((port) => port.node === id) : [];
    return [...(list === 'nodes' ? passages : []), ...gates, ...ports];
}

/** The document without an item and what goes with it; whoever was fixed to it, or behind it, is so no more. */
export function without(doc, list, id) {
    const gone = new Set(goingWith(doc, list, id));
    const kept = (items) => (items ?? []).filter((item) => !gone.has(item));
    const made = { ...doc, passages: kept(doc.passages), gates: kept(doc.gates), ports: kept(doc.ports) };
    made[list] = made[list].filter((item) => item.id !== id);
    made.nodes = made.nodes.map((node) =>
        list === 'nodes' && node.follows === id ? { ...node, follows: undefined } : node,
    );
    const uncovered = (item) =>
        list === 'covers' && item.behind?.includes(id)
            ? { ...item, behind: item.behind.filter((cover) => cover !== id) }
            : item;
    return { ...made, passages: made.passages.map(uncovered), ports: made.ports.map(uncovered) };
}

/** An id that no item of the list has. */
export function freshId(list, prefix) {
    let number = list.length + 1;
    while (list.some((item) => item.id === `${prefix}${number}`)) {
        number += 1;
    }
    return `${prefix}${number}`;
}

export function startEditor() {
    const root = one('[data-editor]', HTMLElement);
    if (!root) {
        return;
    }
    const store = one('textarea[name=document]', HTMLTextAreaElement, root);
    const rows = one('[data-rows]', HTMLElement, root);
    const view = one('[data-preview]', HTMLElement, root);
    const problem = one('[data-problem]', HTMLElement, root);
    const token = one('[name=_token]', HTMLInputElement, root).value;
    // Every fact the format knows, told by the server: by list, each with its kind, its title and what it may be.
    const vocabulary = JSON.parse(store.dataset.vocabulary);
    let doc = JSON.parse(store.value);
    let timer = null;
    // As it stood before each change, and what was taken back of them.
    const [before, after] = [[], []];

    const changed = () => {
        if (JSON.stringify(doc) !== store.value) {
            before.push(store.value);
            after.length = 0;
        }
        shown();
    };
    const shown = () => {
        store.value = JSON.stringify(doc);
        sayHistory();
        clearTimeout(timer);
        timer = setTimeout(preview, WAIT_MS);
    };
    // Shows the place of a complaint: its input, opened and outlined.
    const mark = (field) => {
        rows.querySelectorAll('[aria-invalid]').forEach((marked) => marked.removeAttribute('aria-invalid'));
        const place =
            field &&
            all('[data-path]', HTMLElement, rows).find(
                (input) => input.dataset.path === field || input.dataset.path.startsWith(`${field}.`),
            );
        if (place) {
            place.setAttribute('aria-invalid', 'true');
            place.closest('details')?.setAttribute('open', '');
        }
    };
    const preview = async () => {
        const focused = document.activeElement?.getAttribute('data-node');
        const response = await fetch('/circuits/preview', {
            method: 'POST',
            body: JSON.stringify(doc),
            headers: { 'Content-Type': 'application/json', 'X-CSRF-TOKEN': token, Accept: 'text/html' },
        });
        if (response.ok && response.headers.get('Content-Type').startsWith('text/html')) {
            mark(null);
            view.innerHTML = await response.text();
            problem.hidden = true;
            view.dataset.fresh = String(Number(view.dataset.fresh ?? 0) + 1);
            one(`[data-node="${focused}"]`, SVGElement, view)?.focus();
        } else if (response.ok) {
            const { field, message } = await response.json();
            problem.textContent = `${field}: ${message}`;
            mark(field);
            problem.hidden = false;
        }
    };

    // What came with a layout is marked until somebody has looked at it, or changed it.
    const isMarked = (owner, name) => owner === doc.facts && (doc.from_layout ?? []).includes(name);
    const looked = (owner, name, path) => {
        if (isMarked(owner, name)) {
            doc.from_layout = doc.from_layout.filter((other) => other !== name);
            one(`[data-looked="${name}"]`, HTMLElement, rows)?.remove();
        } else if (owner.known_by === 'layout' && MEASURED.includes(name)) {
            owner.known_by = 'tape';
            const said = one(`[data-path="${path}.known_by"]`, HTMLSelectElement, rows);
            said && (said.value = 'tape');
        }
    };

    /** @type {(owner: any, fact: { name: string, kind: string, title: string, choices: string[], of: string }, path: string) => HTMLElement} */
    const input = (owner, { name, kind: type, title, choices, of }, path) => {
        const wrap = document.createElement('label');
        wrap.textContent = title;
        /** @type {any} a select or an input, one as good as the other */
        let field;
        if (type === 'choice' || type === 'ref') {
            field = document.createElement('select');
            const known =
                type === 'choice'
                    ? choices.map((value) => [value, value.replaceAll('_', ' ')])
                    : doc[of].map((item) => [item.id, item.label ?? item.id]);
            // What was never said is not said by looking at it.
            [['', '–'], ...known].forEach(([value, text]) =>
                field.add(new Option(text, value, false, owner[name] === value)),
            );
        } else {
            field = document.createElement(type === 'lines' ? 'textarea' : 'input');
            type === 'lines' || (field.type = type === 'check' ? 'checkbox' : 'text');
            field.inputMode = type === 'number' ? 'decimal' : 'text';
            type === 'check'
                ? (field.checked = owner[name] === true)
                : (field.value = Array.isArray(owner[name])
                      ? owner[name].join(type === 'lines' ? '\n' : ', ')
                      : (owner[name] ?? ''));
        }
        field.dataset.path = `${path}.${name}`;
        field.addEventListener('change', () => {
            looked(owner, name, path);
            const value = type === 'check' ? field.checked : field.value.trim();
            if (type === 'number') {
                const number = Number(value.replace(',', '.'));
                value === '' ? delete owner[name] : (owner[name] = Number.isFinite(number) ? number : value);
            } else if (value === '') {
                delete owner[name];
            } else if (type === 'list' || type === 'lines') {
                owner[name] = listed(value, type === 'lines' ? '\n' : ',');
            } else {
                owner[name] = value;
            }
            changed();
        });
        wrap.append(field);
        if (isMarked(owner, name)) {
            const right = button('From the layout: it is right', () => { looked(owner, name, path); changed(); });
            right.dataset.looked = name;
            wrap.append(right);
        }
        return wrap;
    };
    const button = (text, act) => {
        const made = document.createElement('button');
        made.type = 'button';
        made.className = 'button button-quiet';
        made.textContent = text;
        made.addEventListener('click', act);
        return made;
    };
    const go = (from, to) => {
        const state = from.pop();
        if (state !== undefined) {
            to.push(store.value);
            doc = JSON.parse(state);
            render();
            shown();
        }
    };
    const undo = button('Undo', () => go(before, after));
    const redo = button('Redo', () => go(after, before));
    const sayHistory = () => { undo.disabled = before.length === 0; redo.disabled = after.length === 0; };
    root.addEventListener('keydown', (event) => {
        const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea');
        if (!typing && (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
            event.preventDefault();
            event.shiftKey ? go(after, before) : go(before, after);
        }
    });
    // In the drawing: a point is put where somebody presses, two nodes are connected by pressing both.
    let drawing = '';
    let first = null;
    const draw = (mode) => {
        drawing = drawing === mode ? '' : mode;
        first = null;
        point.setAttribute('aria-pressed', String(drawing === 'point'));
        connect.setAttribute('aria-pressed', String(drawing === 'connect'));
        view.classList.toggle('cursor-crosshair', drawing !== '');
    };
    const point = button('Put a point on a hose', () => draw('point'));
    const connect = button('Connect two nodes', () => draw('connect'));
    const drawn = (made) => {
        draw('');
        if (made !== doc) {
            doc = made;
            render();
            changed();
        }
    };
    const pointAt = (id, share) =>
        drawn(
            withPoint(doc, id, share, {
                node: freshId(doc.nodes, 'n'),
                passage: freshId(doc.passages, 'p'),
                port: freshId(doc.ports, 'q'),
            }),
        );
    const meet = (id) => {
        if (first === null) {
            first = id;
            connect.textContent = `Connect ${doc.nodes.find((node) => node.id === id)?.label ?? id} with…`;
        } else {
            const from = first;
            connect.textContent = 'Connect two nodes';
            drawn(connected(doc, from, id, freshId(doc.passages, 'p')));
        }
    };
    /** Where the nodes stand on the screen. */
    const places = () => new Map(all('[data-node]', SVGGraphicsElement, view).map((handle) => {
        const box = handle.getBoundingClientRect();
        return [handle.dataset.node, /** @type {[number, number]} */ ([box.x + box.width / 2, box.y + box.height / 2])];
    }));

    // What goes with it is said before it goes.
    const remover = (list, item) => {
        const along = goingWith(doc, list, item.id).map((going) => going.label ?? going.id);
        const made = button('Remove', () => {
            if (along.length > 0 && !made.dataset.asked) {
                made.dataset.asked = '1';
                made.textContent = `Remove it with ${along.join(', ')}`;
                return;
            }
            doc = without(doc, list, item.id);
            render();
            changed();
        });
        return made;
    };
    // One thing and all of its facts, as wide as they have room.
    const rowOf = () => {
        const row = document.createElement('div');
        row.className =
            'editor-row grid grid-cols-[repeat(auto-fit,minmax(110px,1fr))] items-end gap-2 border-b border-rule py-2.5 ' +
            '[&_.button]:min-h-11 [&_.button]:px-2.5 [&_.button]:text-[1rem]';
        return row;
    };
    const section = (title, open, ...children) => {
        const made = document.createElement('details');
        const summary = document.createElement('summary');
        summary.className = 'button button-quiet button-wide';
        summary.textContent = title;
        made.open = open;
        made.dataset.section = title;
        made.append(summary, ...children);
        return made;
    };
    const render = () => {
        const open = new Set(
            all('details[open]', HTMLDetailsElement, rows).map((fold) => fold.dataset.section.split(',')[0]),
        );
        const history = document.createElement('div');
        history.className = 'flex flex-wrap gap-2';
        history.append(undo, redo, point, connect);
        rows.replaceChildren(history, ...vocabulary.circuit.map((fact) => input(doc, fact, 'document')));
        for (const [list, table] of Object.entries(TABLES)) {
            doc[list] ??= [];
            const items = doc[list].map((item, i) => {
                const row = rowOf();
                row.append(
                    ...vocabulary[list].map((fact) => input(item, fact, `${list}.${i}`)),
                    ...(list === 'passages' ? [button('Point in its middle', () => pointAt(item.id, 0.5))] : []),
                    button('Up', () => {
                        doc[list].splice(Math.max(0, i - 1), 0, ...doc[list].splice(i, 1));
                        render();
                        changed();
                    }),
                    remover(list, item),
                );
                return row;
            });
            const add = button(`Add to ${table.title.toLowerCase()}`, () => {
                doc[list].push(table.fresh(freshId(doc[list], list.slice(0, 1)), doc));
                render();
                changed();
            });
            const unseen = doc[list].filter((item) => item.known_by === 'layout').length;
            rows.append(
                section(
                    `${table.title}, ${doc[list].length}${unseen > 0 ? `, ${unseen} from the layout` : ''}`,
                    open.has(table.title),
                    ...items,
                    add,
                ),
            );
        }
        doc.facts ??= {};
        const facts = rowOf();
        facts.append(...vocabulary.facts.map((fact) => input(doc.facts, fact, 'facts')));
        rows.append(
            section(
                'Vehicle facts',
                open.has('Vehicle facts'),
                facts,
                button('Scale volumes to the manual’s capacity', () => {
                    if (doc.facts.capacity_ml > 0) {
                        doc.passages = scaledTo(doc.passages, doc.facts.capacity_ml);
                        render();
                        changed();
                    }
                }),
            ),
        );
    };

    const move = (id, forwardMm, upMm) => {
        const node = doc.nodes.find((item) => item.id === id);
        node.x_mm = Math.round(node.x_mm + forwardMm);
        node.z_mm = Math.max(0, Math.round(node.z_mm + upMm));
        render();
        changed();
    };
    view.addEventListener('keydown', (event) => {
        const id = around(event, '[data-node]', SVGElement)?.dataset.node;
        if (id && drawing === 'connect' && event.key === 'Enter') {
            event.preventDefault();
            meet(id);
            return;
        }
        const step = event.shiftKey ? 1 : 10;
        const moves = { ArrowLeft: [step, 0], ArrowRight: [-step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] };
        if (id && moves[event.key]) {
            event.preventDefault();
            move(id, ...moves[event.key]);
        }
    });
    view.addEventListener('pointerdown', (event) => {
        const handle = around(event, '[data-node]', SVGGraphicsElement);
        if (drawing === 'point') {
            event.preventDefault();
            const hose = nearest(doc, places(), [event.clientX, event.clientY]);
            hose && pointAt(hose.id, hose.share);
            return;
        }
        if (!handle) {
            return;
        }
        event.preventDefault();
        if (drawing === 'connect') {
            meet(handle.dataset.node);
            return;
        }
        const svg = handle.ownerSVGElement;
        const perMm = (svg.getBoundingClientRect().width / svg.viewBox.baseVal.width) * Number(svg.dataset.scale);
        const start = [event.clientX, event.clientY];
        const at = [Number(handle.getAttribute('cx')), Number(handle.getAttribute('cy'))];
        const follow = (to) => {
            const zoom = svg.viewBox.baseVal.width / svg.getBoundingClientRect().width;
            handle.setAttribute('cx', String(at[0] + (to.clientX - start[0]) * zoom));
            handle.setAttribute('cy', String(at[1] + (to.clientY - start[1]) * zoom));
        };
        window.addEventListener('pointermove', follow);
        window.addEventListener('pointerup', (end) => {
            window.removeEventListener('pointermove', follow);
            move(handle.dataset.node, -(end.clientX - start[0]) / perMm, -(end.clientY - start[1]) / perMm);
        }, { once: true });
    });
    render();
    sayHistory();
}
