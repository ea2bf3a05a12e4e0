/* Tables of product data: levels that fold, lines pasted from a spreadsheet, moved and taken out. */
(() => {
    const all = (selector, root = document) => [...root.querySelectorAll(selector)];

    // levels: what lies below a line is shown or hidden with it
    function fold(row, open) {
        const level = Number(row.dataset.level);
        row.querySelector('button.fold')?.setAttribute('aria-expanded', String(open));
        let closed = open ? Infinity : level; // what lies deeper than a closed line is hidden
        for (let next = row.nextElementSibling; Number(next?.dataset.level) > level; next = next.nextElementSibling) {
            const deep = Number(next.dataset.level);
            if (open && deep <= closed) closed = Infinity;
            next.hidden = deep > closed;
            const isClosed = next.querySelector('button.fold')?.getAttribute('aria-expanded') === 'false';
            if (!next.hidden && isClosed) closed = deep;
        }
    }
    document.addEventListener('click', (event) => {
        const button = event.target.closest('button.fold');
        if (button) fold(button.closest('tr'), button.getAttribute('aria-expanded') !== 'true');
    });
    document.addEventListener('keydown', (event) => {
        const row = event.target.closest?.('[data-levels] tr[data-level]');
        if (!row || !['ArrowLeft', 'ArrowRight'].includes(event.key)) return;
        event.preventDefault();
        fold(row, event.key === 'ArrowRight');
    });

    // lines are sent in the order in which they stand
    const fields = (row) => all('input:not([type=hidden]), select', row);
    function move(row, up) {
        const other = up ? row.previousElementSibling : row.nextElementSibling;
        if (!other) return;
        up ? other.before(row) : other.after(row);
    }
    function takeOut(row) {
        fields(row).forEach((field) => {
            if (field.matches('input')) field.value = '';
        });
        const id = row.querySelector('input[type=hidden]');
        if (id) id.value = '';
        if (row.parentElement.children.length > 1) {
            (row.nextElementSibling ?? row.previousElementSibling).querySelector('input:not([type=hidden])')?.focus();
            row.remove();
        }
    }
    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-up], [data-down], [data-out]');
        if (!button) return;
        const row = button.closest('tr');
        if (button.matches('[data-out]')) {
            takeOut(row);
            return;
        }
        move(row, button.matches('[data-up]'));
        button.focus();
    });
    document.addEventListener('keydown', (event) => {
        const row = event.target.closest?.('[data-moved] tr');
        if (!row || !event.altKey || !['ArrowUp', 'ArrowDown'].includes(event.key)) return;
        event.preventDefault();
        move(row, event.key === 'ArrowUp');
        event.target.focus();
    });

    // a line is taken at its grip and laid elsewhere
    let held = null;
    document.addEventListener('dragstart', (event) => {
        held = event.target.closest?.('[data-grip]')?.closest('tr') ?? null;
        if (!held) return;
        event.dataTransfer.effectAllowed = 'move';
        event.dataTransfer.setDragImage(held, 12, 12);
        held.classList.add('picked-row');
    });
    document.addEventListener('dragover', (event) => {
        const row = held && event.target.closest?.('[data-moved] tr');
        if (!row || row.parentElement !== held.parentElement) return;
        event.preventDefault();
        if (row === held) return;
        const box = row.getBoundingClientRect();
        row[event.clientY < box.top + box.height / 2 ? 'before' : 'after'](held);
    });
    document.addEventListener('drop', (event) => {
        if (held) event.preventDefault();
    });
    document.addEventListener('dragend', () => {
        held?.classList.remove('picked-row');
        held = null;
    });

    // what is copied from a spreadsheet fills the rows from where it is pasted on
    document.addEventListener('paste', (event) => {
        const body = event.target.closest?.('[data-paste]');
        const text = event.clipboardData?.getData('text') ?? '';
        if (!body || !/[\t\n]/.test(text.trim())) return;
        event.preventDefault();
        const names = body.dataset.paste.split(',');
        const field = (row, name) => row.querySelector(`[name$="[${name}]"]`);
        const begin = Math.max(
            0,
            names.findIndex((name) => field(event.target.closest('tr'), name) === event.target),
        );
        let row = event.target.closest('tr');
        text.replace(/\r/g, '')
            .replace(/\n+$/, '')
            .split('\n')
            .forEach((line) => {
                line.split('\t').forEach((cell, at) => {
                    const name = names[begin + at];
                    const into = name && field(row, name);
                    if (!into) return;
                    into.value = cell.trim();
                    into.dispatchEvent(new Event('input', { bubbles: true })); // the last row grows a new one
                });
                row = row.nextElementSibling ?? row;
            });
    });
})();
