/* The line under the board: what is selected and what can be done with it; sends deeds and says what became of them. */
class BoardPanel {
    constructor(board) {
        this.board = board;
        this.box = document.querySelector('#board-panel');
        this.says = document.querySelector('#board-says');
        this.box.addEventListener('click', (event) => {
            const does = event.target.closest('[data-does]')?.dataset.does;
            if (does) this.does(does);
        });
    }

    get text() {
        return this.box.innerText;
    }

    show() {
        const { selected, drag, by } = this.board;
        if (!selected) {
            const other = {
                order: 'Click a step to see what it hangs on. Steps are moved by work centre.',
                load: 'Hours of work against open hours. Over the line is more than there is.',
            };
            this.box.innerHTML = other[by] ?? this.box.dataset.empty;
            return;
        }
        if (selected.isDone) this.box.innerHTML = this.done(selected);
        else this.box.innerHTML = drag ? this.moving(drag) : this.standing(selected);
        if (drag && this.board.hand.isAsked() && (drag.dropped || drag.keys)) this.announce(this.text);
    }

    head(bar) {
        const esc = BoardMarks.escaped;
        const order = this.board.data.orders[bar.order] ?? {};
        const customer = order.customer ? ` for ${esc(order.customer)}` : '';
        return (
            `<b class="figures"><a href="${this.board.root.dataset.orders}/${bar.order}">${esc(order.number)}</a> ` +
            `step ${bar.number} ${esc(bar.name)}</b> · ${esc(order.quantity)} ${esc(order.name)}${customer}`
        );
    }

    /* What was done, and when. */
    done(bar) {
        const esc = BoardMarks.escaped;
        const number = `<a href="${this.board.root.dataset.orders}/${bar.order}">${esc(bar.orderNumber)}</a>`;
        const head = `<b class="figures">${number} step ${bar.number} ${esc(bar.name)}</b>`;
        const time = `${esc(this.board.when(bar.start))} to ${esc(this.board.when(bar.end))}`;
        const centre = this.board.centreOf(bar.centre);
        const where =
            centre?.machines > 1 ? `${esc(centre.name)}, which machine is not booked` : esc(centre?.name ?? '');
        return `<div>${head} · counted ${esc(bar.says)} · ${time} · ${where}</div>`;
    }

    button(does, says, kind = 'btn-quiet') {
        return `<button class="btn ${kind} btn-small" data-does="${does}">${BoardMarks.escaped(says)}</button>`;
    }

    /* A step where the plan has it. */
    standing(bar) {
        const esc = BoardMarks.escaped;
        const { data, root, by } = this.board;
        const order = data.orders[bar.order] ?? {};
        const may = root.dataset.may === '1';
        const mayMove = may && bar.centre !== 0 && !bar.started && by === 'centre';
        const does = [];
        if (order.late > 0) {
            const why = `href="${root.dataset.late}/${bar.order}"`;
            does.push(`<a class="btn btn-quiet btn-small" ${why}>Why late, and what would help</a>`);
        }
        does.push(this.button('threads', 'All it hangs on'));
        if (mayMove) does.push(this.button('move', 'Move by keys'));
        if (bar.pinned && may) does.push(this.button('unpin', 'Take the pin out'));
        else if (mayMove) does.push(this.button('pin-here', 'Pin it where it is'));
        const back = (data.away[bar.id] ?? []).map((one) => this.back(one)).join('');
        const family = bar.family ? ` · ${esc(bar.family)}` : '';
        const time = `${esc(this.board.when(bar.start))} to ${esc(this.board.when(bar.end))}`;
        const says = `${this.head(bar)} · ${time}${family} · ${this.pace(order)}`;
        return `<div>${says}</div>${back}<div class="does">${does.join('')}</div>`;
    }

    /* Pieces at a supplier: the day they are back, in one touch. */
    back({ id, says }) {
        const { data, root } = this.board;
        const days = [...data.likely, { on: 'unknown', says: 'not known' }];
        const touch = root.dataset.asks === '1' ? days.map(({ on, says }) => this.button(`${id} ${on}`, says)) : [];
        return `<div class="does back">${BoardMarks.escaped(says)} ${touch.join('')}</div>`;
    }

    pace(order) {
        if (order.late > 0) return `<span class="behind notched">${this.board.lateness(order.late)}</span>`;
        return order.due ? `due ${BoardMarks.escaped(this.board.when(order.due))}` : 'nobody waits';
    }

    /* A step in the hand: what it would do to be put down here. */
    moving({ bar, row, minute, preview }) {
        const esc = BoardMarks.escaped;
        const isAnswered = this.board.hand.isAsked();
        const does = [];
        let words = 'Looking what that does …';
        if (isAnswered && !preview.can) words = `<span class="behind notched">${esc(preview.says.join(' '))}</span>`;
        if (isAnswered && preview.can) {
            words = this.effect(preview);
            does.push(this.button('keep', 'Move it there', 'btn-act'));
            if (preview.pin) does.push(this.button('pin', `Pin it at ${preview.pinSays}`));
        }
        does.push(this.button('back', 'Put back'));
        const machine = row.centre.machines > 1 ? ` ${row.machine}` : '';
        const where = `${esc(row.centre.name)}${machine}, ${esc(this.board.when(minute))}`;
        return `<div>${this.head(bar)} → ${where}. ${words}</div><div class="does">${does.join('')}</div>`;
    }

    effect({ against, where, says, effect }) {
        const esc = BoardMarks.escaped;
        const list = (orders) => esc(orders.map((one) => `${one.number} (${one.says})`).join(', '));
        const there = `${esc(where)}, <b>${esc(says[0])}</b>.`;
        const nearest = `<span class="soon">${esc(against.join(' '))} The nearest that works: ${there}</span>`;
        const words = [against.length ? nearest : `There it runs ${there}`];
        if (effect.late.length) words.push(`<span class="behind notched">Becomes late: ${list(effect.late)}.</span>`);
        else words.push('Nobody becomes late.');
        if (effect.saved.length) {
            const saved = effect.saved.map((one) => one.number).join(', ');
            words.push(`<span class="good">Saved: ${esc(saved)}.</span>`);
        }
        if (effect.other.length) {
            const some = effect.other.slice(0, 4).map((one) => `${one.number} ${one.says}`);
            words.push(`${esc(some.join(', '))}.`);
        }
        words.push(`${effect.moved} steps move.`);
        return words.join(' ');
    }

    does(what) {
        const { drag, selected: bar, root } = this.board;
        const url = (one) => `${root.dataset.move}/${one.id}`;
        if (what === 'threads') this.threads(bar.order);
        if (what === 'back') this.board.hand.putBack();
        if (what === 'move') {
            root.focus();
            this.board.keys.start();
        }
        if (what === 'keep' || what === 'pin') {
            const to = { centre: drag.row.centre.id, machine: drag.row.machine, minute: drag.minute };
            this.send('POST', url(drag.bar), { ...to, pin: what === 'pin' ? 1 : 0 }, drag);
        }
        if (what === 'pin-here') {
            const here = { centre: bar.centre, machine: bar.machine, minute: bar.start };
            this.send('POST', url(bar), { ...here, pin: 1 });
        }
        const [handful, touch] = what.split(' ');
        if (touch) this.send('PUT', `${root.dataset.back}/${handful}/arrival`, { touch });
        if (what === 'unpin') this.send('DELETE', `${url(bar)}/pin`, {});
    }

    /* All an order hangs on, beside the board until it is closed or another step is picked. */
    threads(order) {
        const { root, data } = this.board;
        const box = document.querySelector('#board-threads');
        fetch(`${root.dataset.threads}/${order}?plan=${data.plan.id}`, { headers: { 'X-Plan': '1' } })
            .then((reply) => (reply.ok ? reply.text() : Promise.reject(reply)))
            .then((html) => {
                box.innerHTML = `<button class="btn btn-quiet btn-small shut">Close</button>${html}`;
                box.hidden = false;
                box.querySelector('.shut').addEventListener('click', () => this.closeThreads());
                box.focus();
            })
            .catch(() => this.refused('The server cannot be reached. Press again.'));
    }

    /* Whether there was something to close. */
    closeThreads() {
        const box = document.querySelector('#board-threads');
        if (!box || box.hidden) return false;
        box.hidden = true;
        this.board.root.focus();
        return true;
    }

    /* The cookie follows a new login in another tab, what the page was made with does not. */
    proof() {
        const cookie = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN='));
        return cookie
            ? { 'X-XSRF-TOKEN': decodeURIComponent(cookie.slice(11)) }
            : { 'X-CSRF-TOKEN': this.board.root.dataset.csrf };
    }

    /* One token for one deed, however often it is sent: a deed that got no answer goes again under its own. */
    tokenFor(key) {
        if (this.token?.key !== key) {
            const random = () => `${Date.now()}-${Math.random().toString(36).slice(2)}`;
            this.token = { key, is: crypto.randomUUID ? crypto.randomUUID() : random() };
        }
        return this.token.is;
    }

    send(method, url, what, drag = null) {
        const body = { ...what, plan: this.board.data.plan.id, seen: this.board.data.plan.seen };
        const token = this.tokenFor(JSON.stringify([method, url, body]));
        const headers = { 'Content-Type': 'application/json', Accept: 'application/json', ...this.proof() };
        this.enable(false);
        fetch(url, { method, headers, body: JSON.stringify({ ...body, token }) })
            .then(async (reply) => this.answered(reply, await reply.json().catch(() => ({})), drag))
            .catch(() =>
                this.refused('The server cannot be reached. Press again: it is done once, however often it is sent.'),
            );
    }

    answered({ ok, status }, answer, drag) {
        if (ok && answer.says) {
            this.token = null;
            this.board.put(drag?.preview?.moved ?? []);
            this.did(answer.says, answer.booking);
            this.board.refresh();
            return;
        }
        const loggedOut =
            'You were logged out meanwhile. Log in in another tab, then press again: nothing was moved yet.';
        const says = (answer.refused || [answer.message || 'That was refused.']).join(' ');
        if (status === 422) this.token = null;
        this.refused(status === 419 || status === 401 ? loggedOut : says);
        if (status === 422) this.board.refresh(true);
    }

    /* What changed the plan is undone here; a booking on its own page. */
    did(says, booking) {
        const page = `<a class="btn btn-quiet btn-small" href="/bookings/${booking}">The booking</a>`;
        const undo = booking ? page : '<button class="btn btn-quiet btn-small" data-undo>Undo</button>';
        const text = `<span>${BoardMarks.escaped(says)}</span>`;
        this.says.innerHTML = `<div class="said did" role="status">${text}${undo}</div>`;
        this.says
            .querySelector('[data-undo]')
            ?.addEventListener('click', () => document.querySelector('#board-undo').requestSubmit());
    }

    refused(says) {
        this.says.innerHTML = `<div class="said not" role="alert"><span>${BoardMarks.escaped(says)}</span></div>`;
        this.enable(true);
    }

    enable(can) {
        this.box.querySelectorAll('[data-does]').forEach((button) => {
            button.disabled = !can;
        });
    }

    announce(text) {
        const live = document.querySelector('#board-live');
        if (live) live.textContent = text;
    }

    /* What the pointer stands on, in words. */
    titleOf(bar, centre, load) {
        const { board } = this;
        if (bar?.isDone) return `${bar.orderNumber} step ${bar.number} ${bar.name}: ${bar.says}`;
        if (bar) {
            const order = board.data.orders[bar.order] ?? {};
            const late = order.late > 0 ? `, ${board.lateness(order.late)}` : '';
            const time = `${board.when(bar.start)} to ${board.when(bar.end)}`;
            return `${order.number} step ${bar.number} ${bar.name}, ${order.quantity} ${order.name}: ${time}${late}`;
        }
        if (!load) return '';
        const days = `${board.dayNameOf(load.from)}${board.isFar() ? ' and on' : ''}`;
        const kind = board.want ? 'wanted' : 'planned';
        return `${centre.name}, ${days}: ${board.hours(load.load)} of ${board.hours(load.capacity)} ${kind}`;
    }
}
