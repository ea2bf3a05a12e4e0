@props(['list'])
{{-- Whom to ask for, each with telephones and mails that can be touched. --}}
<h2>Ask for</h2>
@if ($list->isEmpty())
    <div class="none">Nobody is named.</div>
@else
    <dl class="facts">
        @foreach ($list as $contact)
            <dt>{{ $contact->name }}</dt>
            <dd>
                @if ($contact->asked_about !== '')<span class="sub">{{ $contact->asked_about }}</span>@endif
                @foreach ($contact->ways as $way)
                    <a class="way" href="{{ $way->address() }}">{{ $way->at }}</a>
                @endforeach
            </dd>
        @endforeach
    </dl>
@endif
