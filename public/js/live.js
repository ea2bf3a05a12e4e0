/* What follows the plan: a small file of counters is asked for each second, and what shows the plan is drawn anew. */
(() => {
    const EACH = 1000;
    const AGAIN = 8000; // a busy shop plans each second; nobody reads that fast
    const SOON = 1000; // once the plan caught up with what the page knew to be missing
    const quiet = { headers: { 'X-Plan': '1' } };
    let sending = 0;
    let drawn = Date.now();
    let looking = false;

    document.addEventListener('htmx:beforeRequest', () => {
        sending++;
    });
    document.addEventListener('htmx:afterRequest', () => {
        sending--;
        drawn = Date.now();
    });
    document.addEventListener('click', (event) => {
        const drop = event.target.closest('summary')?.parentElement;
        if (drop) drop.dataset.touched = '';
    });

    function isChanged(field) {
        if (field.matches('select')) {
            const first = Math.max(
                0,
                [...field.options].findIndex((option) => option.defaultSelected),
            );
            return field.selectedIndex !== first;
        }
        if (field.matches('[type=checkbox], [type=radio]')) return field.checked !== field.defaultChecked;
        return field.type !== 'hidden' && field.value !== field.defaultValue;
    }

    /* Nothing is typed, ticked, opened, marked or under somebody's hand. */
    function isFree(part) {
        const changed = [...part.querySelectorAll('input, textarea, select')].some(isChanged);
        const marked = window.getSelection()?.isCollapsed === false;
        return !changed && !marked && !part.contains(document.activeElement) && !part.querySelector('[data-touched]');
    }

    async function ask(url) {
        const reply = await fetch(url, quiet);
        return reply.redirected || !reply.ok ? null : reply;
    }

    async function effect(box) {
        const reply = await ask(box.dataset.effect);
        if (!reply || reply.status === 202 || !box.isConnected) return;
        const says = reply.status === 200 ? await reply.text() : '';
        if (says === '') box.remove();
        else {
            box.innerHTML = says;
            htmx.process(box); // what helps is asked for until it was tried
            box.hidden = false;
            box.removeAttribute('data-effect');
        }
    }

    async function draw() {
        const part = document.querySelector('#page[data-plan]');
        const state = document.querySelector('#plan-age');
        if ((part && !isFree(part)) || sending) return;
        drawn = Date.now();
        const at = location.href;
        const reply = await ask(at);
        const page = reply && new DOMParser().parseFromString(await reply.text(), 'text/html');
        const fresh = page?.querySelector('#page[data-plan]');
        const freshState = page?.querySelector('#plan-age');
        if (!freshState || sending || location.href !== at || !state.isConnected) return;
        state.replaceWith(freshState);
        document.querySelector('#plan-still').replaceWith(page.querySelector('#plan-still'));
        if (part && fresh && part.isConnected && isFree(part)) {
            part.replaceWith(fresh);
            htmx.process(fresh);
            htmx.trigger(fresh, 'htmx:load', { elt: fresh });
        }
    }

    setInterval(async () => {
        const state = document.querySelector('#plan-age');
        if (!state || document.hidden || looking || sending) return;
        looking = true;
        try {
            const box = document.querySelector('[data-effect]');
            if (box) await effect(box);
            const reply = await fetch('/live.json', { cache: 'no-cache' });
            const live = reply.ok ? await reply.json() : null;
            if (!live) return;
            document.dispatchEvent(new CustomEvent('plan-moved', { detail: live }));
            if (live.plan === state.dataset.stamp) return; // nothing was planned since, and nobody to plan may be there
            const shows = state.classList.contains('still') || document.querySelector('#page[data-plan]');
            const caughtUp = live.behind === 0 && state.textContent !== '';
            if (!shows && caughtUp) state.textContent = ''; // else what stands there is as old as it says
            if (shows && Date.now() - drawn > (caughtUp ? SOON : AGAIN)) await draw();
        } catch {
            // the server is not there for a moment: it is asked again
        } finally {
            looking = false;
        }
    }, EACH);
})();
