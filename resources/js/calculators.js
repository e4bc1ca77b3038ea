// A calculator answers while one types; the address keeps what is typed, so that it can be linked.

import { one, queryOf } from './dom.js';

const WAIT_MS = 150;

export function startCalculators() {
    const form = one('[data-calculator]', HTMLFormElement);
    if (!form) {
        return;
    }
    const answer = document.querySelector('[data-answer]');
    let timer = null;
    let running = null;
    const refresh = async () => {
        running?.abort();
        running = new AbortController();
        const query = queryOf(form);
        history.replaceState(null, '', `${form.getAttribute('action')}?${query}`);
        query.set('fragment', '1');
        try {
            const response = await fetch(`${form.getAttribute('action')}?${query}`, { signal: running.signal });
            if (response.ok) {
                answer.innerHTML = await response.text();
            }
        } catch (problem) {
            if (problem.name !== 'AbortError') {
                form.submit();
            }
        }
    };
    form.addEventListener('input', () => {
        clearTimeout(timer);
        timer = setTimeout(refresh, WAIT_MS);
    });
}
