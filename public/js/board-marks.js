/* What lies over and beside the board's paint: names at the left, threads, rings, and what is moved just now. */
class BoardMarks {
    constructor(board) {
        this.board = board;
        this.list = board.root.querySelector('.labels');
        this.over = board.root.querySelector('svg.over');
    }

    static escaped(text) {
        const entities = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
        return String(text).replace(/[&<>"]/g, (c) => entities[c]);
    }

    /* Names at the left: only those in view, and only when others are. */
    labels(top, height) {
        const b = this.board;
        const isInView = (row) => row.y + row.h > top && row.y < top + height;
        const shown = b.by === 'order' ? b.rows.filter(isInView) : null;
        const seen = shown ? [shown[0]?.key, shown.length] : [];
        const key = [b.by, b.want, b.data.plan.stamp, ...seen, b.rows.length].join(' ');
        if (key === this.labelled) return;
        this.labelled = key;
        const parts = shown
            ? shown.map((row) => this.orderLabel(row))
            : [...b.data.centres.map((centre) => this.centreLabel(centre)), ...this.outsideLabel()];
        this.list.innerHTML = parts.join('');
    }

    orderLabel({ order, y }) {
        const esc = BoardMarks.escaped;
        const due = order.due ? ` · ${esc(this.board.dayNameOf(order.due))}` : '';
        const tone = order.late > 0 ? 'behind notched' : 'sub';
        return (
            `<div class="label" style="top:${BoardPaint.HEAD + y}px">` +
            `<a href="${this.board.root.dataset.orders}/${order.id}">${esc(order.number)}</a> ` +
            `<span class="${tone}">${esc(order.item)}${due}</span></div>`
        );
    }

    outsideLabel() {
        const at = BoardPaint.HEAD + this.board.outTop;
        return this.board.by === 'centre' ? [`<div class="label centre" style="top:${at}px">At suppliers</div>`] : [];
    }

    centreLabel(centre) {
        const b = this.board;
        const name = BoardMarks.escaped(centre.name);
        const isToday = (minute, i) => minute <= b.data.now && (b.data.days[i + 1] ?? Infinity) > b.data.now;
        const today = b.data.days.findIndex(isToday);
        const inSevenDays = (list) => list.slice(today, today + 7).reduce((sum, one) => sum + one, 0);
        const capacity = inSevenDays(centre.capacity);
        const load = inSevenDays(b.want ? centre.wanted : centre.load);
        const part = capacity === 0 ? 0 : Math.round((100 * load) / capacity);
        const below = Math.max(16, centre.loadY - centre.top - 2);
        const at = `top:${BoardPaint.HEAD + centre.top}px;height:${centre.bottom - centre.top + 4}px`;
        return (
            `<div class="label centre" style="${at}">` +
            `<a href="${b.root.dataset.dispatch}/${centre.id}" title="Dispatch list of ${name}">${name}</a>` +
            `<span class="week ${part > 100 ? 'behind' : ''}" style="top:${below}px">` +
            `${b.want ? 'wanted' : 'load'} ${part} % in 7 days</span></div>`
        );
    }

    draw() {
        const b = this.board;
        const parts = [...this.thread(), ...this.moving()];
        if (parts.length === 0 && this.over.childElementCount === 0) return;
        const { scrollTop, scrollLeft, clientWidth, clientHeight } = b.scroller;
        const width = clientWidth - BoardPaint.LABELS;
        const height = clientHeight - BoardPaint.HEAD;
        Object.assign(this.over.style, {
            left: `${BoardPaint.LABELS + scrollLeft}px`,
            top: `${BoardPaint.HEAD + scrollTop}px`,
            width: `${width}px`,
            height: `${height}px`,
        });
        this.over.setAttribute('viewBox', `${scrollLeft} ${scrollTop} ${width} ${height}`);
        this.over.innerHTML = parts.join('');
    }

    /* What the selected step hangs on: step to step of an order, and from a part's last step to who takes it. */
    thread() {
        const b = this.board;
        if (!b.selected || !b.threadOf) return [];
        const bars = b.bars.filter((bar) => b.threadOf.has(bar.order) && bar.row).sort((x, y) => x.number - y.number);
        const steps = new Map();
        bars.forEach((bar) => steps.set(bar.order, [...(steps.get(bar.order) ?? []), bar]));
        const parts = [];
        steps.forEach((own, order) => {
            const last = own[own.length - 1];
            for (let i = 1; i < own.length; i++) parts.push(this.line(own[i - 1], own[i], 'own'));
            const takers = [...b.threadOf].filter((one) => b.data.orders[one].needs.includes(order));
            takers.forEach((one) => {
                const first = (steps.get(one) ?? []).find((bar) => bar.start >= last.end - 1);
                if (first) parts.push(this.line(last, first, 'part'));
            });
        });
        return [...parts, ...bars.map((bar) => this.ring(bar))];
    }

    line(from, to, kind) {
        const [x1, x2] = [this.board.x(from.end), this.board.x(to.start)];
        const [y1, y2] = [from.row.y + BoardPaint.ROW / 2, to.row.y + BoardPaint.ROW / 2];
        const bend = Math.max(14, Math.min(60, Math.abs(x2 - x1) / 2));
        const start = `M${x1.toFixed(1)} ${y1}`;
        const curve = `C${(x1 + bend).toFixed(1)} ${y1} ${(x2 - bend).toFixed(1)} ${y2} ${x2.toFixed(1)} ${y2}`;
        return `<path class="thread ${kind}" d="${start}${curve}"/>`;
    }

    ring(bar) {
        const kind = bar === this.board.selected ? 'ring picked' : 'ring';
        const x = this.board.x(bar.start) - 1.5;
        const width = Math.max(4, this.board.x(bar.end) - this.board.x(bar.start) + 3);
        return this.box(kind, x, bar.row.y + 0.5, width, BoardPaint.ROW - 2, ' rx="2"');
    }

    /* A step in the hand: where it is held, where it would run, and what would give way to it. */
    moving() {
        const b = this.board;
        if (!b.drag) return [];
        const { bar, row, minute, preview } = b.drag;
        const between = (start, end, least) => Math.max(least, b.x(end) - b.x(start));
        const parts = [];
        (preview?.moved ?? []).forEach(([id, centre, machine, start, , end]) => {
            const to = b.rows.find((one) => one.key === `${centre}/${machine}`);
            if (to && id !== bar.id)
                parts.push(this.box('shifted', b.x(start), to.y + 3, between(start, end, 2), BoardPaint.ROW - 7));
        });
        if (preview?.can) {
            const [start, end] = preview.lands;
            parts.push(this.box('lands', b.x(start), row.y + 1, between(start, end, 3), BoardPaint.ROW - 3));
        }
        const number = BoardMarks.escaped(b.data.orders[bar.order]?.number ?? '');
        const ghost = this.box('', b.x(minute), row.y + 2, between(bar.start, bar.end, 6), BoardPaint.ROW - 5);
        const text = `<text x="${(b.x(minute) + 4).toFixed(1)}" y="${row.y + 16}">${number}</text>`;
        parts.push(`<g class="ghost${preview && !preview.can ? ' cannot' : ''}">${ghost}${text}</g>`);
        return parts;
    }

    box(kind, x, y, width, height, more = '') {
        const size = `width="${width.toFixed(1)}" height="${height}"`;
        return `<rect class="${kind}" x="${x.toFixed(1)}" y="${y}" ${size}${more}/>`;
    }
}
