{{-- What a supplier of the demo can do with one order: one touch each. --}}
@can('purchase')
    @foreach ($turns as $does => $list)
        <x-form class="d-flex flex-wrap gap-1 mb-1 align-items-center" :key="'turn-'.$id.$does"
            :to="route('mails.turn', $id)">
            <span class="sub turn">{{ $does }}</span>
            @foreach ($list as $turn)
                <button class="btn btn-quiet btn-small" name="turn" value="{{ $turn->value }}">
                    {{ $turn->label() }}
                </button>
            @endforeach
        </x-form>
    @endforeach
@endcan
