<svg width="22" height="14" viewBox="0 0 22 14" aria-hidden="true">
    <path d="M1 7h20" stroke="#f3ecdd" stroke-width="1.6"/>
    <path d="M1 3v8M6 5v4M11 3v8M16 5v4M21 3v8" stroke="#f3ecdd" stroke-width="1.4"/>
    <path d="M11 1l2.6-1h-5.2z" fill="#d98a5f"/>
    <circle cx="14" cy="7" r="2.4" fill="#6fb5a8"/>
</svg>
