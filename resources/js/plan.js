// The plan follows every choice: the core computes, the page shows.

import { all, around, one, queryOf } from './dom.js';

export function followPlan() {
    const form = one('[data-plan]', HTMLFormElement);
    if (!form) {
        return;
    }
    const outcome = document.getElementById('outcome');
    const problem = one('[data-plan-problem]', HTMLElement, form);
    let running = null;
    // Drains follow the recommendation until somebody chooses them.
    const auto = one('[data-drains-auto]', HTMLInputElement, form);
    const drains = all('input[name="drains[]"]', HTMLInputElement, form);
    auto.value = auto.dataset.drainsAuto;
    const followDrains = () => {
        const recommended = one('[data-recommended]', HTMLElement, outcome)?.dataset.recommended.split(' ') ?? [];
        if (auto.value === '1') {
            drains.forEach((drain) => { drain.checked = recommended.includes(drain.value); });
            sayFolds();
        }
    };
    const ask = async (fragment, signal) => {
        const query = queryOf(form);
        query.delete('_token');
        query.set('fragment', fragment);
        // What follows is asked by the page, and read whenever it comes.
        const byItself = fragment === 'choice' ? {} : { 'X-Live': '1' };
        return fetch(`/jobs/new?${query}`, { signal, headers: { Accept: 'application/json', ...byItself } });
    };
    const place = (fragment) => one(`[data-fragment=${fragment}]`, HTMLElement, outcome);
    // A folded choice says what is chosen in it.
    const sayFolds = () =>
        all('[data-said-by-choices]', HTMLDetailsElement, form).forEach((fold) => {
            const inputs = all('input[type=radio], input[type=checkbox]', HTMLInputElement, fold);
            const chosen = inputs
                .filter((input) => input.checked)
                .map((input) => input.nextElementSibling?.firstChild?.textContent.trim());
            if (inputs.length > 0) {
                one('[data-said]', HTMLElement, fold).textContent = chosen.length > 0 ? chosen.join(', ') : 'none';
            }
        });
    // What each aid would bring to the fill that is chosen.
    const sayBrings = () => {
        const brings = JSON.parse(one('[data-brings]', HTMLElement, outcome)?.dataset.brings ?? '{}');
        for (const aid of all('input[name="aids[]"]', HTMLInputElement, form)) {
            const said = aid.closest('label')?.querySelector('small') ?? document.createElement('small');
            said.textContent = brings[aid.value] ? ` ${brings[aid.value]}` : '';
            aid.nextElementSibling?.append(said);
        }
    };
    sayBrings();
    const follow = async (fragment, signal) => {
        const answer = await ask(fragment, signal);
        if (answer.ok && !answer.redirected) {
            place(fragment).innerHTML = await answer.text();
            place(fragment).removeAttribute('aria-busy');
            const level = one('template[data-level]', HTMLTemplateElement, place(fragment))?.content.firstElementChild;
            level && one('.level', HTMLElement, place('plan'))?.replaceWith(level);
        }
    };
    // How sure the numbers are takes a second, so it comes when they stand there.
    running = new AbortController();
    follow('ranges', running.signal).catch(() => undefined);
    const refresh = async () => {
        running?.abort();
        running = new AbortController();
        const { signal } = running;
        ['besides', 'ranges'].forEach((fragment) => place(fragment).setAttribute('aria-busy', 'true'));
        try {
            const response = await ask('choice', signal);
            problem.hidden = response.ok;
            if (response.status === 422) {
                const [[field, [message]]] = Object.entries((await response.json()).errors);
                problem.textContent = message;
                document.getElementById(field)?.setAttribute('aria-invalid', 'true');
            } else if (response.ok && !response.redirected) {
                form.querySelectorAll('[aria-invalid]').forEach((marked) => marked.removeAttribute('aria-invalid'));
                const fresh = new DOMParser().parseFromString(await response.text(), 'text/html');
                ['plan', 'besides'].forEach((fragment) => {
                    place(fragment).innerHTML = one(`[data-fragment=${fragment}]`, HTMLElement, fresh).innerHTML;
                });
                place('besides').removeAttribute('aria-busy');
                followDrains();
                sayBrings();
                outcome.dataset.fresh = String(Number(outcome.dataset.fresh ?? 0) + 1);
                await follow('ranges', signal);
            }
        } catch (failed) {
            if (failed.name !== 'AbortError') {
                outcome.dataset.stale = '1';
            }
        }
    };
    form.addEventListener('change', (event) => {
        const vehicle = around(event, '[data-plan-vehicle]', HTMLSelectElement);
        if (vehicle) {
            location.href = `/jobs/new?vehicle=${vehicle.value}`;
            return;
        }
        if (drains.includes(around(event, 'input', HTMLInputElement))) {
            auto.value = '0';
        }
        sayFolds();
        refresh();
    });
    outcome.addEventListener('click', (event) => {
        const wanted = around(event, '[data-school]', HTMLElement)?.dataset;
        const choice = all('input[name="school"]', HTMLInputElement, form).find(
            (school) => school.value === wanted?.school,
        );
        if (choice && wanted) {
            choice.checked = true;
            // A way by name is run as it usually is; one that is put together brings its parts.
            for (const [name, value] of [
                ['warm_up', wanted.warmUp ?? ''],
                ['end', wanted.end ?? ''],
            ]) {
                all(`input[name="${name}"]`, HTMLInputElement, form).forEach(
                    (input) => (input.checked = input.value === value),
                );
            }
            const aids = (wanted.aids ?? '').split(' ');
            all('input[name="aids[]"]', HTMLInputElement, form).forEach(
                (input) => (input.checked = aids.includes(input.value)),
            );
            sayFolds();
            refresh();
        }
    });
    form.addEventListener('click', (event) => around(event, '[data-step]', HTMLElement) && refresh());
}
