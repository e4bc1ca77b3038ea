// The plan follows every choice: the core computes, the page shows.

export function followPlan() {
    const form = document.querySelector('[data-plan]');
    if (!form) {
        return;
    }
    const outcome = document.getElementById('outcome');
    const problem = form.querySelector('[data-plan-problem]');
    let running = null;
    // Drains follow the recommendation until somebody chooses them.
    const auto = form.querySelector('[data-drains-auto]');
    const drains = [...form.querySelectorAll('input[name="drains[]"]')];
    auto.value = auto.dataset.drainsAuto;
    const followDrains = () => {
        const recommended = outcome.querySelector('[data-recommended]')?.dataset.recommended.split(' ') ?? [];
        if (auto.value === '1') {
            drains.forEach((drain) => { drain.checked = recommended.includes(drain.value); });
        }
    };
    const refresh = async () => {
        running?.abort();
        running = new AbortController();
        const query = new URLSearchParams(new FormData(form));
        query.delete('_token');
        query.set('fragment', '1');
        try {
            const response = await fetch(`/jobs/new?${query}`, { signal: running.signal, headers: { Accept: 'application/json' } });
            problem.hidden = response.ok;
            if (response.status === 422) {
                const [[field, [message]]] = Object.entries((await response.json()).errors);
                problem.textContent = message;
                document.getElementById(field)?.setAttribute('aria-invalid', 'true');
            } else if (response.ok && !response.redirected) {
                form.querySelectorAll('[aria-invalid]').forEach((one) => one.removeAttribute('aria-invalid'));
                outcome.innerHTML = await response.text();
                followDrains();
                outcome.dataset.fresh = String(Number(outcome.dataset.fresh ?? 0) + 1);
            }
        } catch (failed) {
            if (failed.name !== 'AbortError') {
                outcome.dataset.stale = '1';
            }
        }
    };
    form.addEventListener('change', (event) => {
        if (event.target.matches('[data-plan-vehicle]')) {
            location.href = `/jobs/new?vehicle=${event.target.value}`;
            return;
        }
        if (drains.includes(event.target)) {
            auto.value = '0';
        }
        refresh();
    });
    form.addEventListener('click', (event) => event.target.closest('[data-step]') && refresh());
}
