// The plan follows every choice: the core computes, the page shows.

export function followPlan() {
    const form = document.querySelector('[data-plan]');
    if (!form) {
        return;
    }
    const outcome = document.getElementById('outcome');
    let running = null;
    const refresh = async () => {
        running?.abort();
        running = new AbortController();
        const query = new URLSearchParams(new FormData(form));
        query.delete('_token');
        query.set('fragment', '1');
        try {
            const response = await fetch(`/jobs/new?${query}`, { signal: running.signal, headers: { Accept: 'text/html' } });
            if (response.ok && !response.redirected) {
                outcome.innerHTML = await response.text();
                outcome.dataset.fresh = String(Number(outcome.dataset.fresh ?? 0) + 1);
            }
        } catch (problem) {
            if (problem.name !== 'AbortError') {
                outcome.dataset.stale = '1';
            }
        }
    };
    form.addEventListener('change', (event) => {
        if (event.target.matches('[data-plan-vehicle]')) {
            location.href = `/jobs/new?vehicle=${event.target.value}`;
            return;
        }
        refresh();
    });
    form.addEventListener('click', (event) => event.target.closest('[data-step]') && refresh());
}
