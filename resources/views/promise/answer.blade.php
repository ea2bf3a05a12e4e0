{{-- When it could be finished, by what it would do to others; and a date to be held. --}}
<section class="answer">
    <h2>{{ $answer->title() }}</h2>
    <dl class="facts big">
        @if ($answer->hasStock())
            <dt>From stock</dt>
            <dd><b>{{ $answer->fromStock }} now</b></dd>
        @endif
        @if ($answer->nobody !== null)
            <dt>Moving nobody</dt>
            <dd><b>{{ $answer->nobody->says() }}</b> <span class="sub">no planned step moves</span></dd>
            <dt>Using others' slack</dt>
            <dd>
                @if ($answer->slack === null)
                    not sooner
                @else
                    <b>{{ $answer->slack->says() }}</b> <span class="sub">others move, nobody becomes late</span>
                @endif
            </dd>
        @endif
        @if ($answer->wantedSays() !== null)
            <dt>{{ $answer->wantedSays() }}</dt>
            <dd>
                @if ($answer->isInTime)
                    <b>{{ $answer->insist->says() }}</b>, in time,
                @else
                    <span class="behind notched">not to be had; the soonest is {{ $answer->insist->says() }}</span>,
                @endif
                @if ($answer->lateSays() === '')
                    <span class="good">nobody becomes late</span>
                @else
                    <span class="behind notched">{{ $answer->lateSays() }}</span>
                @endif
            </dd>
        @endif
        @if ($answer->buy !== [])
            <dt>To be ordered first</dt>
            <dd>{{ $answer->buySays() }}</dd>
        @endif
    </dl>
    @if ($answer->nobody !== null)
        <x-form class="actions align-items-end" :to="route('promise.store')">
            @foreach (['item', 'quantity', 'unit'] as $name)
                <input type="hidden" name="{{ $name }}" value="{{ old($name) }}">
            @endforeach
            <div class="in">
                <label for="hold-how">Hold</label>
                <select class="form-select" id="hold-how" name="how">
                    <option value="nobody">{{ $answer->nobody->says() }}, moving nobody</option>
                    @if ($answer->isSoonerWithSlack())
                        <option value="slack">{{ $answer->slack->says() }}, using others' slack</option>
                    @endif
                </select>
            </div>
            <input type="hidden" name="finish" value="{{ $answer->nobody->minute }}">
            <x-field name="hours" label="For hours" :value="$hours" class="n" inputmode="numeric" />
            <x-field name="for" label="For whom" size="18" maxlength="80" />
            <button class="btn btn-act">Hold the time</button>
        </x-form>
    @endif
</section>
