@props(['lots', 'unit', 'files'])
{{-- Where an item lies, lot by lot; the one asked for is marked and stands first. --}}
@if ($lots->says() !== '')
    <form class="actions">
        <input class="form-control" name="lot" value="{{ request('lot') }}" placeholder="lot" aria-label="Lot">
        <button class="btn btn-quiet btn-small">Show it first</button>
        <span class="sub">{{ ucfirst($lots->says()) }} lots.</span>
    </form>
@endif
@if ($lots->rows->isEmpty())
    <div class="none">None.</div>
@else
    <table class="list">
        <thead>
            <tr><th>Place</th><th>Lot</th><th class="n">{{ $unit }}</th><th class="n">€</th></tr>
        </thead>
        <tbody>
        @foreach ($lots->rows as $row)
            <tr @class(['asked' => $row->lot && request('lot') === $row->lot])>
                <td>
                    {{ $row->place }}
                    @unless ($row->isFree())<span class="tag soon">{{ $row->condition->label() }}</span>@endunless
                    @if ($row->owner)<span class="tag outside">{{ $row->owner }}'s own</span>@endif
                </td>
                <td class="tight">
                    {{ $row->lot }}
                    @if ($row->expiresOn)
                        <span @class(['sub', 'behind' => $row->isExpired])>
                            until {{ $print->day($row->expiresOn) }}
                        </span>
                    @endif
                    @foreach ($files[$row->lotId] ?? [] as $file)
                        <a class="sub" href="{{ route('files.show', $file->id) }}" title="{{ $file->name }}"
                            >{{ $file->kind->label() }}</a>
                    @endforeach
                </td>
                <td class="n">{{ $print->amount($row->quantity) }}</td>
                <td class="n">{{ $print->money($row->value) }}</td>
            </tr>
        @endforeach
        </tbody>
    </table>
@endif
