/* What the pages do by script: keys, the clock, rows that grow, and forms that answer in place. */
(() => {
    const all = (selector, root = document) => [...root.querySelectorAll(selector)];
    const typing = (el) =>
        el.matches('input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]');

    // keys
    const go = (key) => document.querySelector(`dialog.keys [data-go="${key}"]`)?.dataset.to;
    let waiting = false;
    document.addEventListener('keydown', (event) => {
        if (event.key === 'Escape') {
            all('.found').forEach((box) => {
                box.innerHTML = '';
            });
            all('details[data-drop][open]').forEach((drop) => {
                drop.open = false;
            });
        }
        if (event.key === 'Enter' && event.ctrlKey) {
            event.target.closest('form')?.requestSubmit();
            return;
        }
        if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
        if (event.key === '/') {
            event.preventDefault();
            document.querySelector('#find')?.focus();
            return;
        }
        if (event.key === '?') {
            document.querySelector('dialog.keys').showModal();
            return;
        }
        if (waiting && /^[a-z]$/.test(event.key) && go(event.key)) {
            window.location = go(event.key);
            return;
        }
        waiting = event.key === 'g';
        setTimeout(() => {
            waiting = false;
        }, 1200);
        if (event.key === 'n' && document.querySelector('[data-new]'))
            window.location = document.querySelector('[data-new]').href;
        if (event.key === 'j' || event.key === 'k') step(event.key === 'j' ? 1 : -1);
    });
    function step(by) {
        const rows = all('table.list tbody tr').filter((row) => row.querySelector('a, input'));
        const at = rows.findIndex((row) => row.contains(document.activeElement));
        const row = rows[Math.max(0, Math.min(rows.length - 1, at + by))];
        row?.querySelector('input:not([type=hidden]):not([disabled]), a')?.focus();
    }

    // a list of things found goes by arrow keys
    document.addEventListener('keydown', (event) => {
        const box = event.target.closest?.('.find');
        if (!box || !['ArrowDown', 'ArrowUp'].includes(event.key)) return;
        const stops = [box.querySelector('input'), ...all('.found a', box)];
        stops[stops.indexOf(document.activeElement) + (event.key === 'ArrowDown' ? 1 : -1)]?.focus();
        event.preventDefault();
    });

    // Forms answer in place: the page stays where it was scrolled to, and if the server cannot be reached
    // what was typed is still there. Without script they are plain forms.
    htmx.onLoad((root) => {
        all('form[method=post]:not([data-whole])', root).forEach((form) => {
            if (form.hasAttribute('hx-boost')) return;
            const set = {
                'hx-boost': 'true',
                'hx-swap': 'innerHTML show:none',
                'hx-replace-url': 'true',
                'hx-sync': 'this:drop',
                'hx-disabled-elt': 'find button',
                'hx-disinherit': '*',
            };
            Object.entries(set).forEach(([name, value]) => form.setAttribute(name, value));
            htmx.process(form);
        });
        count();
        tick();
    });
    // a button that stands outside of its form and goes another way with it
    document.addEventListener('htmx:configRequest', (event) => {
        const way = event.detail.triggeringEvent?.submitter?.getAttribute('formaction');
        if (way) event.detail.path = way;
    });
    let path = location.pathname;
    let scanned = false; // the next code goes into the same box
    document.addEventListener('htmx:afterSettle', (event) => {
        if (event.detail.target === document.body) {
            if (location.pathname !== path) window.scrollTo(0, 0);
            path = location.pathname;
            const wrong = document.querySelector('.is-wrong');
            (wrong ?? document.querySelector('.said.not'))?.scrollIntoView({ block: 'nearest' });
            wrong?.focus({ preventScroll: true }); // the hand is where the correction goes
            if (scanned) {
                document.querySelector('[data-scan]')?.focus();
                scanned = false;
            }
        }
    });
    const failed = (words) => (event) => {
        if (!event.detail.elt.matches('form')) return;
        document.querySelector('.said.lost')?.remove();
        const note = document.createElement('div');
        note.className = 'said not lost';
        note.setAttribute('role', 'alert');
        note.textContent = words;
        document.querySelector('#says').append(note);
        note.scrollIntoView({ block: 'nearest' });
    };
    const again = ' What you typed is still here. Send it again: it is booked once, however often it is sent.';
    document.addEventListener('htmx:sendError', failed('The server cannot be reached.' + again));
    document.addEventListener('htmx:responseError', failed('Something broke on the server.' + again));

    // rows of an entry form: Enter goes on, the last row grows a new one
    document.addEventListener('keydown', (event) => {
        const body = event.target.closest?.('[data-grow]');
        if (!body || event.key !== 'Enter' || event.ctrlKey) return;
        event.preventDefault();
        const inputs = all('input:not([type=hidden]), select', body);
        const next = inputs[inputs.indexOf(event.target) + 1];
        if (next) {
            next.focus();
            next.select?.();
            return;
        }
        grow(body).querySelector('input').focus();
    });
    document.addEventListener('input', (event) => {
        const body = event.target.closest('[data-grow]');
        if (body && event.target.closest('tr') === body.lastElementChild && event.target.value !== '') grow(body);
    });
    function grow(body) {
        const last = body.lastElementChild;
        const row = last.cloneNode(true);
        const n = body.children.length;
        all('.why', row).forEach((why) => why.remove());
        all('input, select', row).forEach((input) => {
            input.name = input.name.replace(/\[\d+\]/, `[${n}]`);
            input.classList.remove('is-wrong');
            input.removeAttribute('aria-invalid');
            if (input.matches('select')) input.selectedIndex = 0;
            else if (!input.matches('[data-day]')) input.value = '';
        });
        all('[id]', row).forEach((one) => {
            one.id = one.id.replace(/\d+(?=\D*$)/, n);
        });
        all('output', row).forEach((output) => {
            const input = output.parentElement.querySelector('input');
            output.id = `read-${input.id}`;
            output.htmlFor = input.id;
            input.setAttribute('aria-describedby', output.id);
            output.textContent = '';
        });
        all('[data-n]', row).forEach((cell) => {
            cell.textContent = (n + 1) * 10;
        });
        body.append(row);
        return row;
    }

    // how a day that is typed is read: the server says it, so that it is read in one place
    let dayLater = null;
    ['input', 'change'].forEach((name) =>
        document.addEventListener(name, (event) => {
            const input = event.target.closest?.('[data-day]');
            if (!input) return;
            clearTimeout(dayLater);
            dayLater = setTimeout(() => readDay(input), name === 'input' ? 350 : 0);
        }),
    );
    function readDay(input) {
        const output = document.getElementById(`read-${input.id}`);
        const asked = new URLSearchParams({ typed: input.value });
        ['worked', 'end'].filter((how) => how in input.dataset).forEach((how) => asked.set(how, 1));
        fetch(`${input.dataset.day}?${asked}`, { headers: { 'X-Plan': '1' } })
            .then((reply) => (reply.ok && !reply.redirected ? reply.text() : ''))
            .then((says) => {
                output.textContent = says;
            })
            .catch(() => {
                output.textContent = '';
            });
    }

    // ticking rows, and filters that apply themselves
    document.addEventListener('change', (event) => {
        if (event.target.matches('[data-all]')) {
            all(event.target.dataset.all).forEach((box) => {
                if (!box.disabled) box.checked = event.target.checked;
            });
        }
        if (event.target.matches('[data-counts], [data-all]')) count();
        if (event.target.matches('[data-send]')) event.target.form.requestSubmit();
    });
    function count() {
        all('[data-count-of]').forEach((button) => {
            const n = all(`${button.dataset.countOf}:checked`).length;
            button.textContent =
                n === 0 ? button.dataset.none : button.dataset.some.replace('#', n).replace('(s)', n === 1 ? '' : 's');
            button.disabled = n === 0;
        });
    }

    // a slip: what is still to be named, and the last split grows a new one
    document.addEventListener('input', (event) => {
        const line = event.target.closest?.('[data-line]');
        const splits = line?.querySelector('[data-splits]');
        if (!splits) return;
        const unit = line.querySelector('select[name$="[unit]"]');
        const rows = all('.split', splits);
        if (event.target.closest('.split') === rows[rows.length - 1] && event.target.value !== '') {
            const row = rows[rows.length - 1].cloneNode(true);
            all('input', row).forEach((input) => {
                input.value = '';
                input.name = input.name.replace(/\[splits\]\[\d+\]/, `[splits][${rows.length}]`);
                input.setAttribute('aria-label', input.getAttribute('aria-label').replace(/\d+/, rows.length + 1));
            });
            rows[rows.length - 1].after(row);
        }
        const left = splits.querySelector('[data-left]');
        if (!left || (unit && unit.value !== '')) return;
        const named = all('.split', splits).reduce((sum, row) => {
            const [code, n] = all('input', row);
            return sum + (code.value.trim() === '' ? 0 : Number(n.value) || 0);
        }, 0);
        const open = Math.round((Number(line.querySelector('[data-use]').value) - named) * 1e6) / 1e6;
        left.className = `left ${open === 0 ? 'good' : 'behind notched'}`;
        left.textContent = Number.isNaN(open)
            ? ''
            : open === 0
              ? 'all named'
              : open > 0
                ? `${open} still to be named`
                : `${-open} named too many`;
    });
    // Enter goes on to the next field instead of booking: a scanner ends each code with one
    document.addEventListener('keydown', (event) => {
        if (
            event.key !== 'Enter' ||
            event.ctrlKey ||
            !event.target.closest?.('#slip') ||
            !event.target.matches('input')
        )
            return;
        event.preventDefault();
        if (event.target.matches('[data-scan]')) {
            scanned = true;
            event.target.form.requestSubmit();
            return;
        }
        const inputs = all('#slip input:not([type=hidden]):not([disabled])');
        const next = inputs[inputs.indexOf(event.target) + 1];
        next?.focus();
        next?.select?.();
    });

    // a scanned order is ticked in the list its box belongs to
    document.addEventListener('keydown', (event) => {
        if (event.key !== 'Enter' || !event.target.matches?.('[data-tick]')) return;
        event.preventDefault();
        const code = event.target.value.trim().toUpperCase();
        const rows = [...event.target.form.querySelectorAll('[data-code]')];
        const found = rows.filter((row) => row.dataset.code.toUpperCase() === code);
        found.forEach((row) => (row.querySelector('input[type=checkbox]').checked = true));
        found[0]?.scrollIntoView({ block: 'nearest' });
        event.target.setCustomValidity(found.length === 0 ? `${code} is not on this list.` : '');
        event.target.reportValidity();
        event.target.select();
    });
    document.addEventListener('input', (event) => {
        if (event.target.matches?.('[data-tick]')) event.target.setCustomValidity('');
    });

    // the rank: a row is dragged, or moved by Alt and an arrow; what it would do is asked before it is kept
    let dragged = null;
    const ask = (row) => {
        const form = document.querySelector('#rank-form');
        const move = Object.assign(document.createElement('input'), {
            type: 'hidden',
            name: 'move',
            value: `${row.dataset.order}-${row.nextElementSibling?.dataset.order ?? 0}`,
        });
        form.append(move);
        form.requestSubmit();
    };
    document.addEventListener('dragstart', (event) => {
        dragged = event.target.closest?.('[data-rank] tr[data-order]') ?? null;
        dragged?.classList.add('picked-row');
    });
    document.addEventListener('dragover', (event) => {
        const row = dragged && event.target.closest?.('[data-rank] tr[data-order]');
        if (!row || row === dragged) return;
        event.preventDefault();
        const box = row.getBoundingClientRect();
        row[event.clientY < box.top + box.height / 2 ? 'before' : 'after'](dragged);
    });
    document.addEventListener('drop', (event) => {
        if (dragged) event.preventDefault();
    });
    document.addEventListener('dragend', () => {
        if (dragged) ask(dragged);
        dragged = null;
    });
    document.addEventListener('keydown', (event) => {
        const row = event.target.closest?.('[data-rank] tr[draggable]');
        if (!row) return;
        if (event.altKey && event.key === 'ArrowUp' && row.previousElementSibling) {
            row.previousElementSibling.before(row);
        } else if (event.altKey && event.key === 'ArrowDown' && row.nextElementSibling) {
            row.nextElementSibling.after(row);
        } else if (event.key === 'Enter' && row.classList.contains('picked-row') && event.target.matches('a.num')) {
            event.preventDefault();
            ask(row);
            return;
        } else return;
        event.preventDefault();
        row.classList.add('picked-row');
        row.querySelector('a.num').focus();
    });

    // the plant's time is the server's: a tablet's own clock may be wrong
    let ahead = null; // from the first page with a clock on it, which need not be the first page
    function tick() {
        const el = document.querySelector('[data-clock]');
        if (!el) return;
        ahead ??= el.dataset.now - Date.now();
        el.textContent = new Date(Date.now() + ahead).toLocaleTimeString('en-GB', {
            hour: '2-digit',
            minute: '2-digit',
            timeZone: el.dataset.clock,
        });
    }
    setInterval(tick, 10000);
})();
