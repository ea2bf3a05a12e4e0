@foreach ($today->arrivals as $asked)
    <div class="asked-for">
        <div title="{{ $asked->what }}">{{ $asked->says }} <span class="sub">{{ $asked->supplier }}</span></div>
        <x-comes :to="$asked->to()" :days="$today->days" :form="$asked->form()" />
    </div>
@endforeach
