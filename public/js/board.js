/* The board: draws what is in view from the plan's data, moves a step with a preview before it is kept, and goes by keys too.
   Drawn shapes are paint only; what the pointer is on is looked up in the data. Times are UTC minutes. */
(() => {
    const { ROW, LOAD, HEAD, LABELS } = BoardPaint, GAP = 7; // pixels
    const SPANS = { hours: 16, days: 48, week: 120, fortnight: 288, month: 720, quarter: 2184 }; // hours across the board
    const all = (selector, root = document) => [...root.querySelectorAll(selector)];
    const esc = (text) => String(text).replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]);
    let board = null;

    class Board {
        constructor(root) {
            this.root = root;
            this.field = root.querySelector('.field');
            this.scroller = root.querySelector('.scroller');
            this.panel = document.querySelector('#board-panel');
            this.says = document.querySelector('#board-says');
            this.query = new URLSearchParams(location.search);
            this.take(JSON.parse(document.querySelector('#board-data').textContent));
            this.zoom = SPANS[this.query.get('zoom')] ? this.query.get('zoom') : 'week';
            this.by = this.query.get('by') === 'order' ? 'order' : 'centre';
            this.want = this.query.get('load') === 'wanted';
            this.filter = { late: this.query.get('late') === '1', order: this.query.get('order') || '', customer: this.query.get('customer') || '', item: this.query.get('item') || '', family: this.query.get('family') || '' };
            this.selected = null; this.drag = null;
            this.paint = new BoardPaint(root.querySelector('canvas'));
            this.names = {}; this.clocks = {};
            this.clock = new Intl.DateTimeFormat('en-GB', { timeZone: this.data.zone, hour: '2-digit', minute: '2-digit' });
            this.dayName = new Intl.DateTimeFormat('en-GB', { timeZone: this.data.zone, weekday: 'short', day: 'numeric', month: 'short' });
            this.listen();
            this.lay();
            this.goTo(this.query.has('at') ? Number(this.query.get('at')) : this.data.now - this.span() * 60 * 0.04);
            if (this.filter.order) this.find(this.filter.order, false); else this.showPanel();
        }

        take(data) {
            this.data = data;
            this.bars = data.bars.map((b) => ({ id: b[0], centre: b[1], machine: b[2], start: b[3], run: b[4], end: b[5], order: b[6], number: b[7], name: b[8], started: b[9], pinned: b[10], supplier: b[11], family: b[12], overdue: b[13], can: b[14] }));
            this.byId = new Map(this.bars.map((bar) => [bar.id, bar]));
        }

        get spans() { return SPANS; }
        span() { return SPANS[this.zoom]; }
        px() { return (this.scroller.clientWidth - LABELS) / (this.span() * 60); }
        x(minute) { return (minute - this.data.from) * this.scale; }
        minuteAt(x) { return Math.round(this.data.from + x / this.scale); }

        /* Rows: machines of work centres, or orders. */
        lay() {
            this.scale = this.px();
            this.rows = [];
            let y = 2;
            if (this.by === 'centre') {
                this.data.centres.forEach((centre) => {
                    const top = y;
                    for (let m = 1; m <= centre.machines; m++) {
                        this.rows.push({ key: `${centre.id}/${m}`, centre, machine: m, y, h: ROW, first: m === 1 });
                        y += ROW;
                    }
                    centre.loadY = y;
                    y += LOAD + GAP;
                    centre.top = top; centre.bottom = y - GAP;
                });
                const lanes = this.lanes(this.bars.filter((bar) => bar.centre === 0));
                this.outTop = y;
                for (let i = 0; i < Math.max(1, lanes); i++) { this.rows.push({ key: `0/${i}`, centre: null, lane: i, y, h: ROW, first: i === 0 }); y += ROW; }
            } else {
                const order = Object.entries(this.data.orders).map(([id, o]) => ({ id: Number(id), ...o }))
                    .sort((a, b) => (a.due ?? Infinity) - (b.due ?? Infinity) || a.id - b.id);
                order.forEach((o) => { this.rows.push({ key: `o${o.id}`, order: o, y, h: ROW, first: true }); y += ROW; });
            }
            this.height = y + 6;
            const at = new Map(this.rows.map((row) => [row.key, row]));
            this.bars.forEach((bar) => { bar.row = at.get(this.by === 'order' ? `o${bar.order}` : bar.centre === 0 ? `0/${bar.lane}` : `${bar.centre}/${bar.machine}`); });
            this.byRow = new Map(this.rows.map((row) => [row, []]));
            this.bars.forEach((bar) => this.byRow.get(bar.row)?.push(bar));
            this.byRow.forEach((bars) => bars.sort((a, b) => a.start - b.start));
            this.width = this.x(this.data.to) + 40;
            this.field.style.width = `${LABELS + this.width}px`;
            this.field.style.height = `${HEAD + this.height}px`;
            this.labelled = null;
            this.marks();
        }

        /* Steps at suppliers lie side by side: each in the first lane that is free. */
        lanes(bars) {
            const ends = [];
            bars.forEach((bar) => {
                let i = ends.findIndex((end) => end <= bar.start);
                if (i < 0) i = ends.length;
                ends[i] = bar.end + 60;
                bar.lane = i;
            });
            return ends.length;
        }

        goTo(minute) { this.scroller.scrollLeft = Math.max(0, this.x(minute)); this.draw(); }

        draw() {
            const s = this.scroller;
            this.paint.fit(s.clientWidth - LABELS, s.clientHeight);
            this.paint.draw(this, s.scrollLeft, s.scrollTop);
            this.labels(s.scrollTop, s.clientHeight);
            this.thread();
        }

        isFar() { return this.span() > 800; }
        weekday(minute) { return new Date((minute + 720) * 60000).getUTCDay(); }
        dayNameOf(minute) { return this.names[minute] ??= this.dayName.format(new Date((minute + 60) * 60000)); }
        clockOf(minute) { return this.clocks[minute] ??= this.clock.format(new Date(minute * 60000)); }
        openOf(centre, machine) { return this.data.calendars[centre.own[machine] ?? centre.open]; }

        kind(bar) {
            const order = this.data.orders[bar.order];
            if (bar.centre === 0) return 'out';
            if (order && order.late > 0) return bar.started ? 'late-on' : 'late';
            return bar.started ? 'started' : order && order.state === 'firm' ? 'firm' : 'run';
        }

        isDim(bar) {
            const f = this.filter, o = this.data.orders[bar.order] || {};
            return (f.late && !(o.late > 0)) || (f.customer && o.customer !== f.customer) || (f.item && o.item !== f.item) || (f.family && bar.family !== f.family)
                || (f.order && this.threadOf && !this.threadOf.has(bar.order));
        }

        words(bar) {
            const order = this.data.orders[bar.order] || {};
            if (this.by === 'order') return bar.centre === 0 ? bar.supplier : bar.name;
            return bar.centre === 0 ? `${order.number} ${bar.supplier}${bar.overdue ? ' ◣ overdue' : ''}` : `${order.number} ${bar.name}`;
        }

        /* Load and capacity of a work centre by day, or by week when zoomed far out. */
        loads(centre, from, to) {
            const of = this.want ? centre.wanted : centre.load, { days } = this.data, found = [];
            for (let i = 0; i < of.length;) {
                const end = Math.min(of.length, this.isFar() ? i + ((8 - (this.weekday(days[i]) || 7)) || 7) : i + 1);
                if (days[end] > from && days[i] < to) {
                    let load = 0, capacity = 0;
                    for (let k = i; k < end; k++) { load += of[k]; capacity += centre.capacity[k]; }
                    if (load > 0 || capacity > 0) found.push({ from: days[i], to: days[end], load, capacity });
                }
                i = end;
            }
            return found;
        }

        hours(minutes) { return `${Math.round(minutes / 6) / 10} h`; }

        /* Names at the left: only those in view, and only when others are. */
        labels(top, height) {
            const shown = this.by === 'order' ? this.rows.filter((row) => row.y + row.h > top && row.y < top + height) : null;
            const key = `${this.by}${this.want}${this.data.plan.stamp}${shown ? `${shown[0]?.key}${shown.length}` : ''}${this.rows.length}`;
            if (key === this.labelled) return;
            this.labelled = key;
            const parts = [];
            if (shown) {
                shown.forEach((row) => parts.push(`<div class="label" style="top:${HEAD + row.y}px"><a href="${this.root.dataset.orders}/${row.order.id}">${esc(row.order.number)}</a> <span class="${row.order.late > 0 ? 'behind notched' : 'sub'}">${esc(row.order.item)}${row.order.due ? ` · ${esc(this.dayNameOf(row.order.due))}` : ''}</span></div>`));
            } else {
                const today = this.data.days.findIndex((minute, i) => minute <= this.data.now && (this.data.days[i + 1] ?? Infinity) > this.data.now);
                const sum = (list) => list.slice(today, today + 7).reduce((a, b) => a + b, 0);
                this.data.centres.forEach((centre) => {
                    const part = sum(centre.capacity) === 0 ? 0 : Math.round(100 * sum(this.want ? centre.wanted : centre.load) / sum(centre.capacity));
                    parts.push(`<div class="label centre" style="top:${HEAD + centre.top}px;height:${centre.bottom - centre.top + 4}px"><a href="${this.root.dataset.dispatch}/${centre.id}" title="Dispatch list of ${esc(centre.name)}">${esc(centre.name)}</a><span class="week ${part > 100 ? 'behind' : ''}" style="top:${centre.loadY - centre.top - 2}px">${this.want ? 'wanted' : 'load'} ${part} % in 7 days</span></div>`);
                });
                parts.push(`<div class="label centre" style="top:${HEAD + this.outTop}px">At suppliers</div>`);
            }
            this.root.querySelector('.labels').innerHTML = parts.join('');
        }

        /* Everything an order hangs on, and what hangs on it. */
        hangsOn(id) {
            const found = new Set(), wait = [Number(id)];
            while (wait.length) {
                const one = wait.pop();
                if (found.has(one) || !this.data.orders[one]) continue;
                found.add(one);
                wait.push(...this.data.orders[one].needs);
            }
            let up = this.data.orders[id]?.for;
            while (up && !found.has(up)) { found.add(up); up = this.data.orders[up]?.for; }
            return found;
        }

        thread() {
            const parts = [];
            if (this.selected && this.threadOf) {
                const of = this.bars.filter((bar) => this.threadOf.has(bar.order) && bar.row).sort((a, b) => a.number - b.number);
                const steps = new Map();
                of.forEach((bar) => { if (!steps.has(bar.order)) steps.set(bar.order, []); steps.get(bar.order).push(bar); });
                const line = (a, b, kind) => {
                    const x1 = this.x(a.end), y1 = a.row.y + ROW / 2, x2 = this.x(b.start), y2 = b.row.y + ROW / 2, bend = Math.max(14, Math.min(60, Math.abs(x2 - x1) / 2));
                    parts.push(`<path class="thread ${kind}" d="M${x1.toFixed(1)} ${y1}C${(x1 + bend).toFixed(1)} ${y1} ${(x2 - bend).toFixed(1)} ${y2} ${x2.toFixed(1)} ${y2}"/>`);
                };
                steps.forEach((bars, order) => {
                    for (let i = 1; i < bars.length; i++) line(bars[i - 1], bars[i], 'own');
                    const up = [...this.threadOf].filter((one) => this.data.orders[one].needs.includes(order));
                    up.forEach((one) => { const first = (steps.get(one) || []).find((bar) => bar.start >= bars[bars.length - 1].end - 1); if (first) line(bars[bars.length - 1], first, 'part'); });
                });
                of.forEach((bar) => parts.push(`<rect class="ring${bar === this.selected ? ' picked' : ''}" x="${(this.x(bar.start) - 1.5).toFixed(1)}" y="${bar.row.y + 0.5}" width="${Math.max(4, this.x(bar.end) - this.x(bar.start) + 3).toFixed(1)}" height="${ROW - 2}" rx="2"/>`));
            }
            if (this.drag) {
                (this.drag.preview?.moved || []).forEach(([id, centre, machine, start, , end]) => {
                    const row = this.rows.find((one) => one.key === `${centre}/${machine}`);
                    if (row && id !== this.drag.bar.id) parts.push(`<rect class="shifted" x="${this.x(start).toFixed(1)}" y="${row.y + 3}" width="${Math.max(2, this.x(end) - this.x(start)).toFixed(1)}" height="${ROW - 7}"/>`);
                });
                const p = this.drag.preview;
                if (p?.can) {
                    const row = this.drag.row;
                    parts.push(`<rect class="lands" x="${this.x(p.lands[0]).toFixed(1)}" y="${row.y + 1}" width="${Math.max(3, this.x(p.lands[1]) - this.x(p.lands[0])).toFixed(1)}" height="${ROW - 3}"/>`);
                }
                const w = this.x(this.drag.bar.end) - this.x(this.drag.bar.start);
                parts.push(`<g class="ghost${p && !p.can ? ' cannot' : ''}"><rect x="${this.x(this.drag.minute).toFixed(1)}" y="${this.drag.row.y + 2}" width="${Math.max(6, w).toFixed(1)}" height="${ROW - 5}"/><text x="${(this.x(this.drag.minute) + 4).toFixed(1)}" y="${this.drag.row.y + 16}">${esc(this.data.orders[this.drag.bar.order]?.number ?? '')}</text></g>`);
            }
            const svg = this.root.querySelector('svg.over'), t = this.scroller.scrollTop, l = this.scroller.scrollLeft, w = this.scroller.clientWidth - LABELS, h = this.scroller.clientHeight - HEAD;
            if (parts.length === 0 && svg.childElementCount === 0) return;
            Object.assign(svg.style, { left: `${LABELS + l}px`, top: `${HEAD + t}px`, width: `${w}px`, height: `${h}px` });
            svg.setAttribute('viewBox', `${l} ${t} ${w} ${h}`);
            svg.innerHTML = parts.join('');
        }

        /* What the pointer stands on is said as the browser says titles. */
        hover(event) {
            const { bar, minute, y } = this.at(event);
            const centre = bar || this.by !== 'centre' ? null : this.data.centres.find((one) => y >= one.loadY && y < one.loadY + LOAD);
            const load = centre ? this.loads(centre, minute, minute + 1)[0] : null;
            const o = bar ? this.data.orders[bar.order] || {} : null;
            this.field.title = bar ? `${o.number} step ${bar.number} ${bar.name}, ${o.quantity} ${o.name}: ${this.when(bar.start)} to ${this.when(bar.end)}${o.late > 0 ? `, ${this.hours(o.late)} late` : ''}`
                : load ? `${centre.name}, ${this.dayNameOf(load.from)}${this.isFar() ? ' and on' : ''}: ${this.hours(load.load)} of ${this.hours(load.capacity)} ${this.want ? 'wanted' : 'planned'}` : '';
        }

        /* What the pointer is on. */
        at(event) {
            const box = this.field.getBoundingClientRect();
            const x = event.clientX - box.left - LABELS, y = event.clientY - box.top - HEAD;
            const row = this.rows.find((one) => y >= one.y && y < one.y + one.h);
            const minute = this.minuteAt(x), slack = 3 / this.scale;
            const on = (wide) => (this.byRow.get(row) || []).find((one) => minute >= one.start - wide && minute < one.end + wide);
            const bar = x < 0 || !row ? null : on(0) ?? on(slack) ?? null; // a thin one is hit from beside it too
            return { bar, row, minute, y };
        }

        listen() {
            let wait = false;
            this.scroller.addEventListener('scroll', () => {
                if (wait) return;
                wait = true;
                requestAnimationFrame(() => { wait = false; this.draw(); this.remember(); });
            });
            this.onResize = () => { const at = this.minuteAt(this.scroller.scrollLeft); this.lay(); this.goTo(at); this.draw(); };
            window.addEventListener('resize', this.onResize);
            this.field.addEventListener('pointerdown', (event) => {
                if (event.button !== 0 || event.target.closest('a')) return;
                const { bar, minute } = this.at(event);
                this.pick(bar);
                if (bar && this.root.dataset.may === '1' && this.by === 'centre') this.held0 = { bar, dx: minute - bar.start, x: event.clientX, y: event.clientY, id: event.pointerId };
            });
            this.field.addEventListener('pointermove', (event) => {
                const h = this.held0;
                if (!h) { this.hover(event); return; }
                if (!this.drag && Math.hypot(event.clientX - h.x, event.clientY - h.y) < 5) return;
                if (!this.drag) this.field.setPointerCapture(h.id);
                const { row, minute } = this.at(event);
                this.moveTo(h.bar, row && row.centre ? row : h.bar.row, minute - h.dx);
            });
            const drop = () => { if (this.held0 && this.drag) this.drag.dropped = true; this.held0 = null; this.showPanel(); };
            this.field.addEventListener('pointerup', drop);
            this.field.addEventListener('pointercancel', () => { this.held0 = null; this.putBack(); });
            this.field.addEventListener('dblclick', (event) => { const { bar } = this.at(event); if (bar) window.location = `${this.root.dataset.orders}/${bar.order}`; });
            this.keys = new BoardKeys(this);
            this.panel.addEventListener('click', (event) => { const does = event.target.closest('[data-does]')?.dataset.does; if (does) this.does(does); });
            all('[data-board]').forEach((el) => el.addEventListener(el.matches('input[type=search]') ? 'input' : 'change', () => this.set(el)));
            all('[data-zoom]').forEach((el) => el.addEventListener('click', (event) => { event.preventDefault(); this.setZoom(el.dataset.zoom); }));
            document.querySelector('[data-today]')?.addEventListener('click', (event) => { event.preventDefault(); this.goTo(this.data.now - this.span() * 2.4); });
        }

        set(el) {
            const value = el.type === 'checkbox' ? el.checked : el.value.trim();
            if (el.dataset.board === 'by') { this.by = value; this.pick(null); this.lay(); this.scroller.scrollTop = 0; } else if (el.dataset.board === 'load') this.want = value === 'wanted';
            else if (el.dataset.board === 'order') { this.find(value, true); return; } else this.filter[el.dataset.board] = value;
            this.draw();
            this.remember();
        }

        setZoom(zoom) {
            const mid = this.minuteAt(this.scroller.scrollLeft);
            this.zoom = zoom;
            this.lay();
            this.goTo(mid);
            this.draw();
            this.marks();
            this.remember();
        }

        marks() {
            all('[data-zoom]').forEach((el) => (el.dataset.zoom === this.zoom ? el.setAttribute('aria-current', 'true') : el.removeAttribute('aria-current')));
        }

        find(number, typed) {
            const found = Object.entries(this.data.orders).find(([, o]) => o.number.toLowerCase() === number.toLowerCase());
            this.filter.order = found ? found[1].number : '';
            if (!found) { if (!typed || number === '') { this.pick(null); this.draw(); } this.announce(number === '' ? '' : `No open order ${number} on the board.`); return; }
            const bars = this.bars.filter((bar) => bar.order === Number(found[0]));
            this.pick(bars[0] ?? null, Number(found[0]));
            if (bars[0]) this.show(bars[0]);
            this.draw();
            this.remember();
        }

        show(bar) {
            const x = this.x(bar.start), s = this.scroller;
            if (x < s.scrollLeft + 20 || x > s.scrollLeft + s.clientWidth - LABELS - 120) s.scrollLeft = Math.max(0, x - 200);
            if (bar.row && (bar.row.y + HEAD < s.scrollTop + HEAD || bar.row.y + HEAD + ROW > s.scrollTop + s.clientHeight)) s.scrollTop = Math.max(0, bar.row.y - 120);
        }

        pick(bar, order = bar?.order) {
            if (this.drag && this.drag.bar !== bar) this.drag = null;
            this.selected = bar;
            this.threadOf = order ? this.hangsOn(order) : null;
            if (!order) this.filter.order = '';
            this.thread();
            this.showPanel();
        }

        /* Moving: the preview follows, one question at a time, the last one counts. */
        moveTo(bar, row, minute) {
            this.drag = { ...(this.drag || {}), bar, row, minute: Math.round(minute / 5) * 5, dropped: false };
            this.thread();
            this.showPanel();
            this.soon();
        }

        soon() {
            if (this.asking) { this.askAgain = true; return; }
            const d = this.drag;
            if (!d) return;
            this.asking = true;
            const url = `${this.root.dataset.preview}?${new URLSearchParams({ plan: this.data.plan.id, step: d.bar.id, centre: d.row.centre.id, machine: d.row.machine, minute: d.minute })}`;
            fetch(url, { headers: { Accept: 'application/json' } }).then((reply) => (reply.ok ? reply.json() : Promise.reject(reply))).then((preview) => {
                if (this.drag && this.drag.bar === d.bar) { this.drag.preview = preview; this.drag.asked = { row: d.row, minute: d.minute }; this.thread(); this.showPanel(); }
            }).catch(() => this.announce('The server cannot be reached. Nothing was changed.')).finally(() => {
                this.asking = false;
                if (this.askAgain) { this.askAgain = false; this.soon(); }
            });
        }

        isAsked() { const d = this.drag; return d?.preview && d.asked && d.asked.row === d.row && d.asked.minute === d.minute; }

        putBack() { this.drag = null; this.thread(); this.showPanel(); }

        showPanel() {
            const bar = this.selected;
            if (!bar) { this.panel.innerHTML = this.by === 'order' ? 'Click a step to see what it hangs on. Steps are moved by work centre.' : this.panel.dataset.empty; return; }
            const o = this.data.orders[bar.order] || {}, d = this.drag;
            const head = `<b class="figures"><a href="${this.root.dataset.orders}/${bar.order}">${esc(o.number)}</a> step ${bar.number} ${esc(bar.name)}</b> · ${esc(o.quantity)} ${esc(o.name)}${o.customer ? ` for ${esc(o.customer)}` : ''}`;
            if (!d) {
                const may = this.root.dataset.may === '1' && bar.centre !== 0 && !bar.started && this.by === 'centre';
                this.panel.innerHTML = `<div>${head} · ${esc(this.when(bar.start))} to ${esc(this.when(bar.end))}${bar.family ? ` · ${esc(bar.family)}` : ''} · ${this.pace(o)}</div><div class="does">${o.late > 0 ? `<a class="btn btn-quiet btn-small" href="${this.root.dataset.late}/${bar.order}">Why late, and what would help</a>` : ''}${may ? '<button class="btn btn-quiet btn-small" data-does="move">Move by keys</button>' : ''}${bar.pinned && this.root.dataset.may === '1' ? '<button class="btn btn-quiet btn-small" data-does="unpin">Take the pin out</button>' : may ? '<button class="btn btn-quiet btn-small" data-does="pin-here">Pin it where it is</button>' : ''}</div>`;
                return;
            }
            const p = d.preview, ready = this.isAsked();
            let words = 'Looking what that does …', does = '';
            if (ready && !p.can) words = `<span class="behind notched">${esc(p.says.join(' '))}</span>`;
            if (ready && p.can) {
                const late = p.effect.late.map((one) => `${one.number} (${one.says})`).join(', '), saved = p.effect.saved.map((one) => one.number).join(', ');
                words = `${p.against.length ? `<span class="soon">${esc(p.against.join(' '))} The nearest that works: ` : 'There it runs '}${esc(p.where)}, <b>${esc(p.says[0])}</b>.${p.against.length ? '</span>' : ''} `
                    + (late ? `<span class="behind notched">Becomes late: ${esc(late)}.</span> ` : 'Nobody becomes late. ') + (saved ? `<span class="good">Saved: ${esc(saved)}.</span> ` : '')
                    + (p.effect.other.length ? `${esc(p.effect.other.slice(0, 4).map((one) => `${one.number} ${one.says}`).join(', '))}. ` : '') + `${p.effect.moved} steps move.`;
                does = `<button class="btn btn-act btn-small" data-does="keep">Move it there</button>${p.pin ? `<button class="btn btn-quiet btn-small" data-does="pin">Pin it at ${esc(p.pinSays)}</button>` : ''}`;
            }
            this.panel.innerHTML = `<div>${head} → ${esc(d.row.centre.name)}${d.row.centre.machines > 1 ? ` ${d.row.machine}` : ''}, ${esc(this.when(d.minute))}. ${words}</div><div class="does">${does}<button class="btn btn-quiet btn-small" data-does="back">Put back</button></div>`;
            if (ready && (d.dropped || d.keys)) this.announce(this.panel.innerText);
        }

        pace(o) { return o.late > 0 ? `<span class="behind notched">${this.hours(o.late)} late</span>` : o.due ? `due ${esc(this.when(o.due))}` : 'nobody waits'; }
        when(minute) { const date = new Date(minute * 60000); return `${this.dayName.format(date)} ${this.clock.format(date)}`; }

        does(what) {
            const d = this.drag, bar = this.selected;
            if (what === 'back') this.putBack();
            else if (what === 'move') { this.root.focus(); this.keys.start(); } else if (what === 'keep' || what === 'pin') this.send('POST', `${this.root.dataset.move}/${d.bar.id}`, { centre: d.row.centre.id, machine: d.row.machine, minute: d.minute, pin: what === 'pin' ? 1 : 0 }, d);
            else if (what === 'pin-here') this.send('POST', `${this.root.dataset.move}/${bar.id}`, { centre: bar.centre, machine: bar.machine, minute: bar.start, pin: 1 });
            else if (what === 'unpin') this.send('DELETE', `${this.root.dataset.move}/${bar.id}/pin`, {});
        }

        /* The cookie follows a new login in another tab, what the page was made with does not. */
        proof() {
            const cookie = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN='));
            return cookie ? { 'X-XSRF-TOKEN': decodeURIComponent(cookie.slice(11)) } : { 'X-CSRF-TOKEN': this.root.dataset.csrf };
        }

        /* One token for one deed, however often it is sent: a deed that got no answer goes again under its own. */
        send(method, url, what, drag = null) {
            const body = { ...what, plan: this.data.plan.id, seen: this.data.plan.seen };
            const key = JSON.stringify([method, url, body]);
            if (!this.token || this.token.key !== key) this.token = { key, is: crypto.randomUUID ? crypto.randomUUID() : `${Date.now()}-${Math.random().toString(36).slice(2)}` };
            all('[data-does]', this.panel).forEach((button) => { button.disabled = true; });
            fetch(url, { method, headers: { 'Content-Type': 'application/json', Accept: 'application/json', ...this.proof() }, body: JSON.stringify({ ...body, token: this.token.is }) })
                .then(async (reply) => ({ ok: reply.ok, status: reply.status, answer: await reply.json().catch(() => ({})) })).then(({ ok, status, answer }) => {
                    if (ok && answer.says) {
                        this.token = null;
                        if (drag) (drag.preview?.moved || []).forEach(([id, centre, machine, start, run, end]) => Object.assign(this.byId.get(id) || {}, { centre, machine, start, run, end }));
                        this.drag = null;
                        this.lay();
                        this.draw();
                        this.did(answer.says);
                        this.refresh();
                    } else {
                        if (status === 422) this.token = null;
                        this.refused(status === 419 || status === 401 ? 'You were logged out meanwhile. Log in in another tab, then press again: nothing was moved yet.' : (answer.refused || [answer.message || 'That was refused.']).join(' '));
                        if (status === 422) this.refresh(true);
                    }
                }).catch(() => { this.refused('The server cannot be reached. Press again: it is done once, however often it is sent.'); });
        }

        did(says) {
            this.says.innerHTML = `<div class="said did" role="status"><span>${esc(says)}</span><button class="btn btn-quiet btn-small" data-undo>Undo</button></div>`;
            this.says.querySelector('[data-undo]').addEventListener('click', () => document.querySelector('#board-undo').requestSubmit());
        }

        refused(says) {
            this.says.innerHTML = `<div class="said not" role="alert"><span>${esc(says)}</span></div>`;
            all('[data-does]', this.panel).forEach((button) => { button.disabled = false; });
        }

        announce(text) { const live = document.querySelector('#board-live'); if (live) live.textContent = text; }

        refresh(keepDrag = false) {
            return fetch(`${this.root.dataset.plan}?plan=${this.data.plan.id}`, { headers: { Accept: 'application/json' } }).then((reply) => (reply.ok ? reply.json() : Promise.reject(reply))).then((data) => {
                const picked = this.selected?.id, order = this.selected?.order, drag = this.drag;
                this.take(data);
                this.lay();
                this.selected = picked ? this.byId.get(picked) ?? null : null;
                this.threadOf = this.selected ? this.hangsOn(order) : null;
                if (!keepDrag || !this.selected) this.drag = null;
                else if (drag) { this.drag = { ...drag, bar: this.selected, row: this.rows.find((row) => row.key === drag.row.key) ?? this.selected.row }; this.soon(); }
                this.draw();
                this.showPanel();
                document.querySelector('#board-news')?.replaceChildren();
            }).catch(() => {});
        }

        /* The address says what is seen, so that it can be sent to a colleague and come back to. */
        remember() {
            clearTimeout(this.later);
            this.later = setTimeout(() => {
                const q = new URLSearchParams();
                if (!this.data.plan.live) q.set('plan', this.data.plan.id);
                q.set('zoom', this.zoom);
                q.set('at', this.minuteAt(this.scroller.scrollLeft));
                if (this.by === 'order') q.set('by', 'order');
                if (this.want) q.set('load', 'wanted');
                Object.entries(this.filter).forEach(([name, value]) => { if (value) q.set(name, value === true ? '1' : value); });
                if (this.root.isConnected) history.replaceState(history.state, '', `${location.pathname}?${q}`);
            }, 300);
        }
    }

    /* The plan may be brought up to date by others: it is said, and shown when asked for or when nobody is at work here. */
    let last = Date.now();
    ['pointermove', 'keydown'].forEach((name) => document.addEventListener(name, () => { last = Date.now(); }));
    setInterval(() => {
        if (!board || !board.root.isConnected || document.hidden) return;
        fetch(`${board.root.dataset.news}?plan=${board.data.plan.id}`, { headers: { Accept: 'application/json' } }).then((reply) => (reply.ok ? reply.json() : null)).then((news) => {
            if (!news || news.stamp === board.data.plan.stamp) return;
            if (!board.selected && Date.now() - last > 20000) { board.refresh(); document.querySelector('#board-when').textContent = news.when; return; }
            const box = document.querySelector('#board-news');
            box.innerHTML = `<span>${esc(news.when)}</span> <button class="btn btn-quiet btn-small">Show it</button>`;
            box.querySelector('button').addEventListener('click', () => { document.querySelector('#board-when').textContent = news.when; board.refresh(); });
        }).catch(() => {});
    }, 10000);

    htmx.onLoad(() => {
        const root = document.querySelector('#board');
        if (root && root !== board?.root) { if (board) window.removeEventListener('resize', board.onResize); board = new Board(root); window.board = board; }
    });
})();
