{{-- Minutes from each setup family to each other. --}}
@if ($page->families === [])
    <div class="none">No step done here names a setup family yet. It is said at the step of a routing, under more.</div>
@else
    <div class="wide">
        <table class="list typed matrix">
            <thead>
                <tr>
                    <th>from ↓ to →</th>
                    @foreach ($page->families as $to => $name)<th class="n">{{ $name }}</th>@endforeach
                </tr>
            </thead>
            <tbody>
                @foreach ($page->families as $from => $name)
                    <tr>
                        <td class="tight">{{ $name }}</td>
                        @foreach ($page->families as $to => $other)
                            <td class="n">
                                <input class="form-control n few" name="{{ $page->name($from, $to) }}"
                                    value="{{ old($page->key($from, $to), $page->minutes($from, $to)) }}"
                                    inputmode="numeric" autocomplete="off"
                                    aria-label="Minutes from {{ $name }} to {{ $other }}">
                                <x-why :field="$page->key($from, $to)" />
                            </td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </div>
@endif
