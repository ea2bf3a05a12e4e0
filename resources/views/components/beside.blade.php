@props(['rows', 'other'])
{{-- Two revisions side by side: what came, what went, what is another. --}}
<h2>Beside revision {{ $other->revision }}</h2>
<table class="list">
    <thead><tr><th>What</th><th>Against revision {{ $other->revision }}</th></tr></thead>
    <tbody>
        @foreach ($rows as $row)
            <tr>
                <td>{{ $row->name }}</td>
                <td>
                    @if ($row->isNew())
                        <span class="tag good">new</span>
                    @elseif ($row->isGone())
                        <span class="tag behind">gone</span>
                    @elseif ($row->isSame())
                        <span class="sub">the same</span>
                    @endif
                    @foreach ($row->changed() as $field => [$was, $is])
                        <span class="tag soon">{{ $print->change($field, $was, $is) }}</span>
                    @endforeach
                    @if ($row->isNew() || $row->isGone())
                        @foreach ($row->values() as $field => $value)
                            <span class="sub">
                                {{ $field }} {{ $print->field($field, $value) }}{{ $loop->last ? '' : ',' }}
                            </span>
                        @endforeach
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
