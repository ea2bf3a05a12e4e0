/* The board: what is in view of the plan's data, what is selected and what is moved, with a preview before it is kept.
   Drawn shapes are paint only; what the pointer is on is looked up in the data. Times are UTC minutes. */
(() => {
    const { ROW, HEAD, LABELS } = BoardPaint;
    const ROWS = ['centre', 'order', 'load'];
    /* hours across the board */
    const SPANS = { hours: 16, days: 48, week: 120, fortnight: 288, month: 720, quarter: 2184 };
    const all = (selector, root = document) => [...root.querySelectorAll(selector)];
    let board = null;

    class Board {
        constructor(root) {
            this.root = root;
            this.field = root.querySelector('.field');
            this.scroller = root.querySelector('.scroller');
            this.query = new URLSearchParams(location.search);
            this.take(JSON.parse(document.querySelector('#board-data').textContent));
            this.zoom = SPANS[this.query.get('zoom')] ? this.query.get('zoom') : 'week';
            this.by = ROWS.includes(this.query.get('by')) ? this.query.get('by') : 'centre';
            this.want = this.query.get('load') === 'wanted';
            this.fold = this.query.get('fold') !== '0';
            this.moved = this.query.get('moved') === '1';
            this.filter = {
                late: this.query.get('late') === '1',
                order: this.query.get('order') || '',
                customer: this.query.get('customer') || '',
                item: this.query.get('item') || '',
                family: this.query.get('family') || '',
            };
            this.selected = null;
            this.drag = null;
            this.paint = new BoardPaint(root.querySelector('canvas'));
            this.marks = new BoardMarks(this);
            this.panel = new BoardPanel(this);
            this.address = new BoardAddress(this);
            this.names = {};
            this.clocks = {};
            this.clock = new Intl.DateTimeFormat('en-GB', {
                timeZone: this.data.zone,
                hour: '2-digit',
                minute: '2-digit',
            });
            this.dayName = new Intl.DateTimeFormat('en-GB', {
                timeZone: this.data.zone,
                weekday: 'short',
                day: 'numeric',
                month: 'short',
            });
            this.listen();
            this.lay();
            if (this.query.has('at')) this.goTo(Number(this.query.get('at')));
            else this.goToNow();
            if (this.filter.order) this.find(this.filter.order, false);
            else this.panel.show();
        }

        take(data) {
            this.data = data;
            this.bars = data.bars.map((b) => ({
                id: b[0],
                centre: b[1],
                machine: b[2],
                start: b[3],
                run: b[4],
                end: b[5],
                order: b[6],
                number: b[7],
                name: b[8],
                started: b[9],
                pinned: b[10],
                supplier: b[11],
                family: b[12],
                overdue: b[13],
                can: b[14],
            }));
            this.share();
            this.byId = new Map(this.bars.map((bar) => [bar.id, bar]));
            this.was = new Map(
                data.was.map(([id, centre, machine, start, end]) => [id, { id, centre, machine, start, end }]),
            );
            this.done = data.done.map((d) => ({
                centre: d[0],
                start: d[1],
                end: d[2],
                order: d[3],
                orderNumber: d[4],
                number: d[5],
                name: d[6],
                says: d[7],
                isDone: true,
            }));
        }

        /* Steps that go into one load of a machine share its row: each is drawn in a part of its height. */
        share() {
            const loads = new Map();
            this.bars.forEach((bar) => {
                bar.part = 0;
                bar.parts = 1;
                if (bar.centre === 0 || !this.takesLoads(bar.centre)) return;
                const key = `${bar.centre}/${bar.machine}/${bar.start}`;
                loads.set(key, [...(loads.get(key) || []), bar]);
            });
            loads.forEach((bars) => bars.forEach((bar, i) => Object.assign(bar, { part: i, parts: bars.length })));
        }
        takesLoads(id) {
            return this.centreOf(id)?.loadSize ?? 0;
        }
        centreOf(id) {
            return this.data.centres.find((centre) => centre.id === id);
        }

        get spans() {
            return SPANS;
        }
        span() {
            return SPANS[this.zoom];
        }
        x(minute) {
            return this.axis.x(minute);
        }
        minuteAt(x) {
            return this.axis.minute(x);
        }

        lay() {
            const { from, to, quiet } = this.data;
            const rows = new BoardRows(this);
            Object.assign(this, { rows: rows.rows, byRow: rows.byRow, doneByRow: rows.done, outTop: rows.outTop });
            this.height = rows.height;
            this.field.style.height = `${HEAD + this.height}px`;
            // measured when the rows are there, and with them what they are scrolled by
            const width = this.scroller.clientWidth - LABELS;
            // what is planned fills the board: a plan of five weeks is not drawn as wide as a quarter would be
            const hours = Math.min(this.span(), (to - from) / 60);
            this.axis = new BoardAxis(from, to, this.fold ? quiet : [], hours, width);
            this.width = Math.max(width, this.x(to));
            this.field.style.width = `${LABELS + this.width}px`;
            this.marks.labelled = null;
            this.markZoom();
        }

        /* So that now stands a little from the left. */
        goToNow() {
            this.scroller.scrollLeft = Math.max(0, this.x(this.data.now) - 0.06 * (this.scroller.clientWidth - LABELS));
            this.draw();
        }

        goTo(minute) {
            this.scroller.scrollLeft = Math.max(0, this.x(minute));
            this.draw();
        }

        draw() {
            const s = this.scroller;
            this.paint.fit(s.clientWidth - LABELS, s.clientHeight);
            this.paint.draw(this, s.scrollLeft, s.scrollTop);
            this.marks.labels(s.scrollTop, s.clientHeight);
            this.marks.draw();
        }

        isFar() {
            return this.span() > 800;
        }
        weekday(minute) {
            return new Date((minute + 720) * 60000).getUTCDay();
        }
        dayNameOf(minute) {
            return (this.names[minute] ??= this.dayName.format(new Date((minute + 60) * 60000)));
        }
        clockOf(minute) {
            return (this.clocks[minute] ??= this.clock.format(new Date(minute * 60000)));
        }
        openOf(centre, machine) {
            return this.data.calendars[centre.own[machine] ?? centre.open];
        }

        kind(bar) {
            if (bar.isDone) return 'done';
            const order = this.data.orders[bar.order];
            if (bar.centre === 0) return 'out';
            if (order && order.late > 0) return bar.started ? 'late-on' : 'late';
            return bar.started ? 'started' : order && order.state === 'firm' ? 'firm' : 'run';
        }

        isDim(bar) {
            const f = this.filter,
                o = this.data.orders[bar.order] || {};
            return (
                (f.late && !(o.late > 0)) ||
                (f.customer && o.customer !== f.customer) ||
                (f.item && o.item !== f.item) ||
                (f.family && bar.family !== f.family) ||
                (this.moved && !bar.isDone && !this.was.has(bar.id)) ||
                (f.order && this.threadOf && !this.threadOf.has(bar.order))
            );
        }

        words(bar) {
            if (bar.isDone) return this.by === 'order' ? bar.name : `${bar.orderNumber} ${bar.name}`;
            const order = this.data.orders[bar.order] || {};
            if (this.by === 'order') return bar.centre === 0 ? bar.supplier : bar.name;
            return bar.centre === 0
                ? `${order.number} ${bar.supplier}${bar.overdue ? ' ◣ overdue' : ''}`
                : `${order.number} ${bar.name}`;
        }

        /* Load and capacity of a work centre by day, or by week when zoomed far out. */
        loads(centre, from, to) {
            const of = this.want ? centre.wanted : centre.load,
                { days } = this.data,
                found = [];
            for (let i = 0; i < of.length;) {
                const end = Math.min(of.length, this.isFar() ? i + (8 - (this.weekday(days[i]) || 7) || 7) : i + 1);
                if (days[end] > from && days[i] < to) {
                    let load = 0,
                        capacity = 0;
                    for (let k = i; k < end; k++) {
                        load += of[k];
                        capacity += centre.capacity[k];
                    }
                    if ((load > 0 || capacity > 0) && days[end] > this.data.now)
                        found.push({ from: days[i], to: days[end], load, capacity });
                }
                i = end;
            }
            return found;
        }

        hours(minutes) {
            return `${Math.round(minutes / 6) / 10} h`;
        }
        /* As other pages say it: whole working days of the plant, less than one in hours. */
        lateness(minutes) {
            const days = Math.floor(minutes / this.data.day);
            return `${days < 1 ? this.hours(minutes) : days === 1 ? '1 working day' : `${days} working days`} late`;
        }

        /* Everything an order hangs on, and what hangs on it. */
        hangsOn(id) {
            const found = new Set(),
                wait = [Number(id)];
            while (wait.length) {
                const one = wait.pop();
                if (found.has(one) || !this.data.orders[one]) continue;
                found.add(one);
                wait.push(...this.data.orders[one].needs);
            }
            let up = this.data.orders[id]?.for;
            while (up && !found.has(up)) {
                found.add(up);
                up = this.data.orders[up]?.for;
            }
            return found;
        }

        /* What the pointer stands on is said as the browser says titles. */
        hover(event) {
            const { bar, minute, y } = this.at(event);
            const centre =
                bar || this.by === 'order'
                    ? null
                    : this.data.centres.find((one) => y >= one.loadY && y < one.loadY + one.loadH);
            const load = centre ? this.loads(centre, minute, minute + 1)[0] : null;
            this.field.title = this.panel.titleOf(bar, centre, load);
        }

        /* What the pointer is on. */
        at(event) {
            const box = this.field.getBoundingClientRect();
            const x = event.clientX - box.left - LABELS,
                y = event.clientY - box.top - HEAD;
            const row = this.rows.find((one) => y >= one.y && y < one.y + one.h);
            const minute = this.minuteAt(x),
                slack = 3 / this.axis.scale;
            const inPart = (one) => Math.floor(((y - row.y - 2) / (ROW - 5)) * one.parts) === one.part;
            const on = (wide) =>
                [...(this.byRow.get(row) || []), ...(this.doneByRow.get(row) || [])].find(
                    (one) => minute >= one.start - wide && minute < one.end + wide && (!(one.parts > 1) || inPart(one)),
                );
            const bar = x < 0 || !row ? null : (on(0) ?? on(slack) ?? null); // a thin one is hit from beside it too
            return { bar, row, minute, y };
        }

        listen() {
            let wait = false;
            this.scroller.addEventListener('scroll', () => {
                if (wait) return;
                wait = true;
                requestAnimationFrame(() => {
                    wait = false;
                    this.draw();
                    this.address.remember();
                });
            });
            this.onResize = () => {
                const at = this.minuteAt(this.scroller.scrollLeft);
                this.lay();
                this.goTo(at);
                this.draw();
            };
            window.addEventListener('resize', this.onResize);
            this.hand = new BoardHand(this);
            this.keys = new BoardKeys(this);
            all('[data-board]').forEach((el) =>
                el.addEventListener(el.matches('input[type=search]') ? 'input' : 'change', () => this.set(el)),
            );
            all('[data-zoom]').forEach((el) =>
                el.addEventListener('click', (event) => {
                    event.preventDefault();
                    this.setZoom(el.dataset.zoom);
                }),
            );
            document.querySelector('[data-today]')?.addEventListener('click', (event) => {
                event.preventDefault();
                this.goToNow();
            });
        }

        set(el) {
            const value = el.type === 'checkbox' ? el.checked : el.value.trim();
            if (el.dataset.board === 'by') {
                this.by = value;
                this.pick(null);
                this.lay();
                this.scroller.scrollTop = 0;
            } else if (el.dataset.board === 'load') this.want = value === 'wanted';
            else if (el.dataset.board === 'moved') this.moved = value;
            else if (el.dataset.board === 'fold') {
                const at = this.minuteAt(this.scroller.scrollLeft);
                this.fold = value;
                this.lay();
                this.goTo(at);
            } else if (el.dataset.board === 'order') {
                this.find(value, true);
                return;
            } else this.filter[el.dataset.board] = value;
            this.draw();
            this.address.remember();
        }

        setZoom(zoom) {
            const mid = this.minuteAt(this.scroller.scrollLeft);
            this.zoom = zoom;
            this.lay();
            this.goTo(mid);
            this.draw();
            this.markZoom();
            this.address.remember();
        }

        markZoom() {
            all('[data-zoom]').forEach((el) =>
                el.dataset.zoom === this.zoom
                    ? el.setAttribute('aria-current', 'true')
                    : el.removeAttribute('aria-current'),
            );
        }

        find(number, typed) {
            const found = Object.entries(this.data.orders).find(
                ([, o]) => o.number.toLowerCase() === number.toLowerCase(),
            );
            this.filter.order = found ? found[1].number : '';
            if (!found) {
                if (!typed || number === '') {
                    this.pick(null);
                    this.draw();
                }
                this.panel.announce(number === '' ? '' : `No open order ${number} on the board.`);
                return;
            }
            const bars = this.bars.filter((bar) => bar.order === Number(found[0]));
            this.pick(bars[0] ?? null, Number(found[0]));
            if (bars[0]) this.show(bars[0]);
            this.draw();
            this.address.remember();
        }

        show(bar) {
            const x = this.x(bar.start),
                s = this.scroller;
            if (x < s.scrollLeft + 20 || x > s.scrollLeft + s.clientWidth - LABELS - 120)
                s.scrollLeft = Math.max(0, x - 200);
            if (
                bar.row &&
                (bar.row.y + HEAD < s.scrollTop + HEAD || bar.row.y + HEAD + ROW > s.scrollTop + s.clientHeight)
            )
                s.scrollTop = Math.max(0, bar.row.y - 120);
        }

        pick(bar, order = bar?.order) {
            if (this.drag && this.drag.bar !== bar) this.drag = null;
            this.selected = bar;
            this.threadOf = order ? this.hangsOn(order) : null;
            if (!order) this.filter.order = '';
            this.panel.closeThreads();
            this.marks.draw();
            this.panel.show();
        }

        /* Steps that a deed moved, put where they are now. */
        put(moved) {
            moved.forEach(([id, centre, machine, start, run, end]) =>
                Object.assign(this.byId.get(id) || {}, { centre, machine, start, run, end }),
            );
            this.drag = null;
            this.lay();
            this.draw();
        }

        when(minute) {
            const date = new Date(minute * 60000);
            return `${this.dayName.format(date)} ${this.clock.format(date)}`;
        }

        refresh(keepDrag = false) {
            return fetch(`${this.root.dataset.plan}?plan=${this.data.plan.id}`, {
                headers: { Accept: 'application/json', 'X-Plan': '1' },
            })
                .then((reply) => (reply.ok ? reply.json() : Promise.reject(reply)))
                .then((data) => {
                    const picked = this.selected?.id,
                        order = this.selected?.order,
                        drag = this.drag;
                    this.take(data);
                    this.lay();
                    this.selected = picked ? (this.byId.get(picked) ?? null) : null;
                    this.threadOf = this.selected ? this.hangsOn(order) : null;
                    if (!keepDrag || !this.selected) this.drag = null;
                    else if (drag) {
                        this.drag = {
                            ...drag,
                            bar: this.selected,
                            row: this.rows.find((row) => row.key === drag.row.key) ?? this.selected.row,
                        };
                        this.hand.soon();
                    }
                    this.draw();
                    this.panel.show();
                    document.querySelector('#board-news')?.replaceChildren();
                })
                .catch(() => {});
        }
    }

    htmx.onLoad(() => {
        const root = document.querySelector('#board');
        if (root && root !== board?.root) {
            if (board) window.removeEventListener('resize', board.onResize);
            board = new Board(root);
            window.board = board;
        }
    });
})();
