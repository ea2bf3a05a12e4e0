{{-- Words to customers that a plan would break: said before anything else. --}}
@if ($broken !== [])
    <div class="said not">
        <ul class="plain">
            @foreach ($broken as $promise)
                <li>{{ $promise->withCustomer() }}</li>
            @endforeach
        </ul>
    </div>
@endif
