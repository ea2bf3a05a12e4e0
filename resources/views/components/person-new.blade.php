<form class="actions align-items-start" method="post" action="{{ route('people.store') }}">
    @csrf @token($in->form)
    <x-field :in="$in" name="name" label="Name" size="20" maxlength="80" required />
    <x-field :in="$in" name="login" label="Login" size="14" maxlength="60" required />
    <div class="in">
        <label for="new-role">Role</label>
        <select class="form-select" id="new-role" name="role" required>
            <option value="">choose</option>
            @foreach ($roles as $one)<option value="{{ $one->value }}" @selected($in->value('role') === $one->value)>{{ $one->label() }}</option>@endforeach
        </select>
    </div>
    <x-field :in="$in" name="password" label="First password, 12 characters or more" size="20" maxlength="200" required />
    <button class="btn btn-act align-self-end">Let in</button>
</form>
<p class="sub">It is changed by the person at the first login.</p>
