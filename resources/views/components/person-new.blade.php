<form method="post" action="{{ route('people.store') }}">
    @csrf @token($in->form)
    <div class="actions align-items-start">
        <div class="in">
            <label for="new-works">Who</label>
            <select class="form-select" id="new-works" name="works">
                <option value="">somebody new, named beside</option>
                @foreach ($others as $person)
                    <option value="{{ $person->id }}" @selected($isChosen($person))>
                        {{ $person->name }}, {{ $person->number }}
                    </option>
                @endforeach
            </select>
        </div>
        <x-field :in="$in" name="name" label="Name" size="20" maxlength="80" />
        <x-field :in="$in" name="login" label="Login" size="14" maxlength="60" required />
        <x-field :in="$in" name="password" label="First password, 12 characters or more" size="20" maxlength="200"
            required />
    </div>
    <div class="actions align-items-start">
        <x-role-ticks :in="$in" label="Roles" />
        <button class="btn btn-act">Let in</button>
    </div>
</form>
<p class="sub">The password is changed by the person at the first login.</p>
