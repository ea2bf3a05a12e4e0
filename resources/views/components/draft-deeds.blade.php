@props(['draft', 'name', 'approval'])
{{-- What is missing of a draft, and the deeds that end it. --}}
<section class="effect">
    @if ($approval->holes === [])
        <strong class="good">It is whole.</strong>
    @else
        <strong class="soon">Before it can be approved:</strong>
        <ul class="mb-1">
            @foreach ($approval->holes as $hole)<li>{{ $hole }}</li>@endforeach
        </ul>
    @endif
    <div class="actions mb-0 align-items-end">
        @can('approve')
            <x-form class="actions mb-0 align-items-end" :to="route($name.'.approval', $draft->id)" key="approve">
                <input type="hidden" name="version" value="{{ $draft->version }}">
                @if ($approval->asksWhetherItFits)
                    <x-choice name="fits" label="Do the one before and this one fit each other?"
                        :options="['' => 'say', 'yes' => 'yes, either will do', 'no' => 'no']" />
                @endif
                @if ($approval->parts !== [])
                    <x-choice name="used_up" label="In force" :options="$approval->startings()" />
                @endif
                @if ($approval->orders !== [])
                    <x-choice name="from_order" label="Firm orders" :options="$approval->copies()" />
                @endif
                <x-day bare name="from" label="In force from" :value="''" placeholder="from today on" />
                <button class="btn btn-act" @disabled($approval->holes !== [])>
                    Approve revision {{ $draft->revision }}
                </button>
            </x-form>
        @else
            <span class="sub">A supervisor approves it.</span>
        @endcan
        @can('draw-up')
            <x-form method="delete" class="mb-0" :to="route($name.'.destroy', $draft->id)" key="drop">
                <input type="hidden" name="version" value="{{ $draft->version }}">
                <button class="btn btn-quiet btn-small">Give the draft up</button>
            </x-form>
        @endcan
    </div>
</section>
