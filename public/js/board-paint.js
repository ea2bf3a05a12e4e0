/* Paints what is in view of the board on a canvas, anew for each frame: bars, closed time, load, time. Only reads. */
class BoardPaint {
    static ROW = 24;

    static LOAD = 15;

    static HEAD = 38;

    static LABELS = 176;

    constructor(canvas) {
        this.canvas = canvas;
        this.ink = canvas.getContext('2d', { alpha: false });
        const of = getComputedStyle(document.documentElement),
            v = (name) => of.getPropertyValue(name).trim();
        this.color = {
            ink: v('--ink'),
            ink2: v('--ink-2'),
            line: v('--line'),
            sheet: v('--sheet'),
            behind: v('--behind'),
            behind2: v('--behind-2'),
            act: v('--act'),
            soon: v('--soon'),
            outside: v('--outside'),
            outside2: v('--outside-2'),
        };
        const c = this.color;
        this.kinds = {
            run: ['#b9d6ce', c.act, c.ink],
            firm: ['#fffdf8', c.ink2, c.ink],
            late: [c.behind2, c.behind, c.ink],
            started: [c.act, c.act, '#fff'],
            'late-on': [c.behind, c.behind, '#fff'],
            out: [c.outside2, c.outside, c.ink],
            done: ['#e4dccb', c.ink2, c.ink2],
        };
        this.hatch = this.pattern();
    }

    pattern() {
        const tile = document.createElement('canvas');
        tile.width = tile.height = 8;
        const ink = tile.getContext('2d');
        ink.fillStyle = '#efe6d4';
        ink.fillRect(0, 0, 8, 8);
        ink.strokeStyle = '#ddd0b8';
        ink.lineWidth = 1.6;
        ink.beginPath();
        [
            [-2, 2, 2, -2],
            [0, 8, 8, 0],
            [6, 10, 10, 6],
        ].forEach(([a, b, c, d]) => {
            ink.moveTo(a, b);
            ink.lineTo(c, d);
        });
        ink.stroke();
        return this.ink.createPattern(tile, 'repeat');
    }

    /** Fits the canvas to the board's window, sharp on any screen. */
    fit(width, height) {
        const dots = window.devicePixelRatio || 1;
        if (this.width !== width || this.height !== height || this.dots !== dots) {
            Object.assign(this, { width, height, dots });
            this.canvas.width = Math.round(width * dots);
            this.canvas.height = Math.round(height * dots);
            Object.assign(this.canvas.style, { width: `${width}px`, height: `${height}px` });
        }
    }

    /* left and top are how far the board is scrolled. */
    draw(board, left, top) {
        const { ink, color } = this,
            { HEAD } = BoardPaint;
        this.board = board;
        this.left = left;
        this.from = board.minuteAt(left - 40);
        this.to = board.minuteAt(left + this.width + 40);
        ink.setTransform(this.dots, 0, 0, this.dots, 0, 0);
        ink.fillStyle = color.sheet;
        ink.fillRect(0, 0, this.width, this.height);
        ink.textBaseline = 'alphabetic';
        ink.save();
        ink.translate(0, HEAD - top);
        const rows = board.rows.filter((row) => row.y + row.h + BoardPaint.LOAD > top && row.y < top + this.height);
        rows.forEach((row) => this.closed(row));
        this.folds(top);
        this.grid(rows, top);
        rows.forEach((row) => this.rowBars(row));
        this.stood();
        this.heldTime(rows);
        if (board.by !== 'order')
            board.data.centres.forEach((centre) => {
                if (centre.bottom > top && centre.top < top + this.height) this.load(centre);
            });
        ink.restore();
        this.heads();
    }

    x(minute) {
        return this.board.x(minute) - this.left;
    }

    closed(row) {
        if (!row.centre) return;
        const { ink } = this,
            open = this.board.openOf(row.centre, row.machine);
        ink.fillStyle = this.hatch;
        const begin = Math.max(0, this.x(this.board.data.from)),
            end = Math.min(this.width, this.x(this.board.data.to));
        if (end > begin) ink.fillRect(begin, row.y, end - begin, row.h);
        ink.fillStyle = this.color.sheet;
        for (let i = this.firstOpen(open, this.from); i < open.length && open[i][0] < this.to; i++)
            ink.fillRect(this.x(open[i][0]), row.y, this.x(open[i][1]) - this.x(open[i][0]), row.h);
    }

    /* Nights and weekends that are folded: a band each, so that nobody takes the two days beside it for one. */
    folds(top) {
        if (!this.board.fold || this.board.isFar()) return;
        const { ink, board } = this;
        ink.fillStyle = '#e7dcc6';
        board.data.quiet.forEach(([start, end]) => {
            if (end < this.from || start > this.to) return;
            const x = this.x(start);
            ink.fillRect(x, top - 10, Math.max(1, this.x(end) - x), this.height + 20);
        });
    }

    /* When a bar is worked on: a step pauses where its machine is closed. Seen from far, small breaks are not drawn. */
    pieces(bar) {
        const { board } = this;
        const centre = board.centreOf(bar.centre);
        if (!centre) return [[bar.start, bar.end]];
        const least = board.axis.scale * 1440 < 90 ? 4 : 20;
        const open = bar.isDone ? board.data.calendars[centre.open] : board.openOf(centre, bar.machine);
        const pieces = [];
        for (let i = this.firstOpen(open, bar.start); i < open.length && open[i][0] < bar.end; i++) {
            const last = pieces[pieces.length - 1];
            const isBreak = last && this.x(open[i][0]) - this.x(last[1]) < least && !board.axis.foldAt(last[1] + 60);
            if (isBreak) last[1] = Math.min(bar.end, open[i][1]);
            else pieces.push([Math.max(bar.start, open[i][0]), Math.min(bar.end, open[i][1])]);
        }
        return pieces.length ? pieces : [[bar.start, bar.end]];
    }

    firstOpen(open, minute) {
        let low = 0,
            high = open.length;
        while (low < high) {
            const mid = (low + high) >> 1;
            if (open[mid][1] <= minute) low = mid + 1;
            else high = mid;
        }
        return low;
    }

    line(x1, y1, x2, y2, stroke, width = 1) {
        const { ink } = this;
        ink.strokeStyle = stroke;
        ink.lineWidth = width;
        ink.beginPath();
        ink.moveTo(x1, y1);
        ink.lineTo(x2, y2);
        ink.stroke();
    }

    grid(rows, top) {
        const { data } = this.board;
        data.days.forEach((minute) => {
            if (minute < this.from || minute > this.to || (this.board.isFar() && this.board.weekday(minute) !== 1))
                return;
            const x = Math.round(this.x(minute)) + 0.5;
            this.line(x, top - 10, x, top + this.height, '#18222f70');
        });
        rows.filter((row) => row.first).forEach((row) =>
            this.line(0, row.y - 2.5, Math.min(this.width, this.x(data.to)), row.y - 2.5, this.color.line),
        );
        this.line(this.x(data.now), top - 10, this.x(data.now), top + this.height, this.color.behind, 1.5);
    }

    rowBars(row) {
        for (const bar of [...(this.board.doneByRow.get(row) || []), ...(this.board.byRow.get(row) || [])])
            if (bar.end >= this.from && bar.start <= this.to) this.bar(bar, row);
        this.ink.globalAlpha = 1;
    }

    bar(bar, row) {
        const { ink } = this,
            { ROW } = BoardPaint,
            parts = bar.parts ?? 1,
            h = (ROW - 5) / parts,
            y = row.y + 2 + (bar.part ?? 0) * h,
            x = this.x(bar.start),
            w = Math.max(1.5, this.x(bar.end) - x),
            kind = this.board.kind(bar),
            [fill, stroke] = this.kinds[kind];
        ink.globalAlpha = this.board.isDim(bar) ? 0.16 : 1;
        if (w < 6) {
            ink.fillStyle = fill;
            ink.fillRect(x, y, w, h);
            ink.fillStyle = stroke;
            ink.fillRect(x, y, Math.min(1, w), h);
            return;
        }
        const boxes = this.pieces(bar).map(([from, to]) => [this.x(from), Math.max(1.5, this.x(to) - this.x(from))]);
        this.body(bar, kind, boxes, y, h);
        if (kind.startsWith('late')) this.notch(x, y, kind === 'late' ? stroke : '#fff');
        if (bar.pinned) this.pin(x + w - 7, y - 1);
        if (this.board.was.has(bar.id)) {
            ink.fillStyle = this.color.ink;
            ink.fillRect(x, y + h - 2, w, 2.5);
        }
        this.named(bar, kind, boxes, y, h);
    }

    /* A box for each time it is worked on, and a thin line through where it pauses. */
    body(bar, kind, boxes, y, h) {
        const { ink } = this,
            [fill, stroke, text] = this.kinds[kind],
            [x] = boxes[0],
            last = boxes[boxes.length - 1],
            shape = new Path2D();
        if (boxes.length > 1) {
            ink.fillStyle = stroke;
            ink.fillRect(x, y + h / 2 - 1, last[0] - x, 2);
        }
        boxes.forEach(([left, width]) => shape.rect(left, y, width, h));
        ink.fillStyle = fill;
        ink.fill(shape);
        const setup = bar.isDone || bar.centre === 0 ? 0 : Math.min(last[0] + last[1], this.x(bar.run)) - x;
        if (setup > 2) {
            ink.save();
            ink.clip(shape);
            ink.fillStyle = text === '#fff' ? '#ffffff50' : '#18222f2e';
            ink.fillRect(x, y, setup, h);
            ink.restore();
        }
        ink.strokeStyle = stroke;
        ink.lineWidth = 1;
        ink.setLineDash(kind === 'out' ? [4, 2] : []);
        boxes.forEach(([left, width]) => ink.strokeRect(left + 0.5, y + 0.5, Math.max(0.5, width - 1), h - 1));
        ink.setLineDash([]);
    }

    /* The words stand in the first box in view that has room for them, else in the widest. */
    named(bar, kind, boxes, y, h) {
        const { ink } = this;
        const rooms = boxes
            .map(([left, width]) => [Math.max(left, 0), left + width - Math.max(left, 0) - (bar.pinned ? 12 : 5)])
            .filter(([at]) => at < this.width);
        const [at, room] = rooms.find((one) => one[1] > 80) ?? rooms.sort((a, b) => b[1] - a[1])[0] ?? [0, 0];
        if (room <= 22 || h <= 7) return;
        ink.fillStyle = this.kinds[kind][2];
        ink.font = `${Math.min(12, Math.floor(h))}px Figures, sans-serif`;
        const words = this.board.words(bar).slice(0, Math.max(3, Math.floor(room / 6)));
        ink.fillText(words, at + 4, y + Math.min(14, h - 1));
    }

    /* In a what-if: where a step stands in the live plan, and a line from there to where it would stand. */
    stood() {
        const { ink, color, board } = this,
            { ROW } = BoardPaint;
        if (board.by !== 'centre' || board.was.size === 0) return;
        const at = new Map(board.rows.map((row) => [row.key, row]));
        board.was.forEach((was) => {
            const bar = board.byId.get(was.id),
                row = was.centre === 0 ? bar?.row : at.get(`${was.centre}/${was.machine}`);
            if (!bar?.row || !row || board.isDim(bar)) return;
            const x = this.x(was.start),
                w = Math.max(2, this.x(was.end) - x);
            if (x > this.width || x + w < 0) return;
            ink.strokeStyle = color.ink;
            ink.lineWidth = 1;
            ink.setLineDash([3, 3]);
            ink.strokeRect(x + 0.5, row.y + 1.5, w - 1, ROW - 4);
            ink.setLineDash([]);
            if (board.moved || board.selected === bar)
                this.line(x, row.y + ROW / 2, this.x(bar.start), bar.row.y + ROW / 2, '#18222f80');
        });
    }

    notch(x, y, fill) {
        const { ink } = this;
        ink.fillStyle = fill;
        ink.beginPath();
        ink.moveTo(x, y);
        ink.lineTo(x + 7, y);
        ink.lineTo(x, y + 7);
        ink.fill();
    }

    pin(x, y) {
        const { ink, color } = this;
        ink.fillStyle = color.soon;
        ink.strokeStyle = color.ink;
        ink.lineWidth = 1;
        ink.beginPath();
        ink.arc(x + 3, y + 3.5, 3, 0, 7);
        ink.fill();
        ink.stroke();
        this.line(x + 3, y + 6.5, x + 3, y + 13, color.ink);
    }

    heldTime(rows) {
        const { ink, color } = this,
            { ROW } = BoardPaint;
        if (this.board.by !== 'centre') return;
        this.board.data.held.forEach(([centre, machine, start, end, words]) => {
            const row = rows.find((one) => one.key === `${centre}/${machine}`);
            if (!row || end < this.from || start > this.to) return;
            const x = this.x(start),
                w = Math.max(2, this.x(end) - x);
            ink.fillStyle = '#fffdf8';
            ink.fillRect(x, row.y + 2, w, ROW - 5);
            ink.strokeStyle = color.ink2;
            ink.setLineDash([1, 3]);
            ink.strokeRect(x + 0.5, row.y + 2.5, w - 1, ROW - 6);
            ink.setLineDash([]);
            ink.fillStyle = color.ink;
            if (w > 40) ink.fillText(words.slice(0, Math.floor(w / 6)), x + 4, row.y + 16);
        });
    }

    /* Load against capacity: a day each, a week each when zoomed far out; over the line is more than there is. */
    load(centre) {
        const { ink, color } = this;
        this.board.loads(centre, this.from, this.to).forEach(({ from, to, load, capacity }) => {
            const part = capacity === 0 ? 2 : load / capacity,
                x = this.x(from) + 1,
                w = Math.max(1, this.x(to) - this.x(from) - 2),
                y = centre.loadY + 1,
                h = centre.loadH - 4,
                over = part > 1.001;
            ink.fillStyle = over ? '#e5b99d' : '#cfd6cf';
            ink.fillRect(x, y + h - h * Math.min(1, part), w, h * Math.min(1, part));
            ink.strokeStyle = over ? color.behind : color.line;
            ink.lineWidth = 1;
            ink.strokeRect(x + 0.5, y + 0.5, w - 1, h - 1);
            if (over) {
                ink.fillStyle = color.behind;
                ink.fillRect(x, y, w, 3);
            }
            if (w > 30 && load > 0) this.loadSays(x, w, y, h, load, capacity);
        });
    }

    loadSays(x, w, y, h, load, capacity) {
        const { ink, color, board } = this,
            part = capacity === 0 ? 2 : load / capacity,
            over = part > 1.001,
            at = Math.max(x, 0);
        if (x + w - at <= 30) return;
        ink.fillStyle = over ? color.behind : color.ink2;
        ink.font = `${over ? '600 ' : ''}${h > 20 ? 12 : 10}px Figures, sans-serif`;
        const says = capacity === 0 ? 'closed' : `${Math.round(part * 100)} %`;
        ink.fillText(`${over ? '▲ ' : ''}${says}`, at + 3, y + (h > 20 ? 14 : 10));
        if (h <= 20 || x + w - at <= 66) return;
        ink.font = '10.5px Figures, sans-serif';
        ink.fillText(`${board.hours(load)} of ${board.hours(capacity)}`, at + 3, y + 28);
    }

    /* A day as there is room for it: 'Mon 14 Dec', 'Mon 14', or its number below it where no hours stand. */
    day(name, x, room, hasHours) {
        const [weekday, number] = name.split(' ');
        const narrow = room < 48 && !hasHours;
        this.ink.font = '600 12px Figures, sans-serif';
        this.ink.fillText(narrow ? weekday : room < 72 ? `${weekday} ${number}` : name, x, 15);
        if (narrow) this.ink.fillText(number, x, 31);
        return narrow;
    }

    /* A word where there is room for it, beside days over their numbers only a mark. */
    now(x, hasRoom) {
        const { ink, color } = this,
            { HEAD } = BoardPaint;
        ink.fillStyle = color.behind;
        if (!hasRoom) {
            ink.beginPath();
            ink.moveTo(x - 5, HEAD - 6);
            ink.lineTo(x + 5, HEAD - 6);
            ink.lineTo(x, HEAD);
            ink.fill();
            return;
        }
        ink.fillRect(x, HEAD - 15, 27, 14);
        ink.fillStyle = '#fff';
        ink.font = '11px Figures, sans-serif';
        ink.fillText('now', x + 3, HEAD - 4);
    }

    heads() {
        const { ink, color, board } = this,
            { HEAD } = BoardPaint,
            far = board.isFar(),
            hour = board.axis.scale * 60,
            every = [60, 120, 180, 240, 360, 720].find((minutes) => (minutes / 60) * hour > 44);
        ink.fillStyle = color.sheet;
        ink.fillRect(0, 0, this.width, HEAD);
        this.line(0, HEAD - 0.5, this.width, HEAD - 0.5, color.line);
        let isNarrow = false;
        board.data.days.forEach((minute, i) => {
            const next = board.data.days[i + 1] ?? minute + 1440;
            if (next < this.from || minute > this.to) return;
            // of the days of a folded weekend only the last is named
            const x = this.x(minute);
            if (far ? board.weekday(minute) === 1 : this.x(next) - x > 24) {
                this.line(Math.round(x) + 0.5, 4, Math.round(x) + 0.5, HEAD, '#18222f70');
                ink.fillStyle = color.ink;
                const left = far ? x : Math.max(x, 0);
                const room = far ? Infinity : this.x(next) - left;
                // what is left in view of a day that is scrolled out may be too little for its name
                if (x === left || room > 52)
                    isNarrow = this.day(board.dayNameOf(minute), left + 4, room, Boolean(every)) || isNarrow;
            }
            if (far || !every) return;
            ink.fillStyle = color.ink2;
            ink.font = '10.5px Figures, sans-serif';
            ink.textAlign = 'center';
            for (let m = minute + every; m < next; m += every)
                if (this.x(m) > 16 && !board.axis.foldAt(m - 20) && !board.axis.foldAt(m + 20))
                    ink.fillText(board.clockOf(m), this.x(m), 31);
            ink.textAlign = 'left';
        });
        this.now(this.x(board.data.now), !isNarrow);
    }
}
