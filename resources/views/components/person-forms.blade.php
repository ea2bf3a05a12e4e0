<x-more summary="change" :open="$isOpen">
    <form class="actions align-items-start" method="post" action="{{ route('people.update', $person->id) }}">
        @csrf @method('put') @token($role->form)
        <x-role-ticks :in="$role" :label="'Roles of '.$person->name" :roles="$person->roles()" />
        <button class="btn btn-quiet btn-small">Give these roles</button>
    </form>
    <form class="actions align-items-start" method="post" action="{{ route('people.reset', $person->id) }}">
        @csrf @method('put') @token($reset->form)
        <x-field bare :in="$reset" name="password" :label="'New password for '.$person->name" placeholder="new password" size="18" />
        <button class="btn btn-quiet btn-small">Give this password</button>
    </form>
    @if ($person->locked_at)
        <form class="actions" method="post" action="{{ route('people.unlock', $person->id) }}">
            @csrf @method('delete') @token<button class="btn btn-quiet btn-small">Let {{ $person->name }} in again</button>
        </form>
    @else
        <form class="actions align-items-start" method="post" action="{{ route('people.lock', $person->id) }}">
            @csrf @token($lock->form)
            <x-field bare :in="$lock" name="reason" :label="'Why '.$person->name.' is locked'" placeholder="why" size="18" maxlength="200" />
            <button class="btn btn-quiet btn-small">Lock</button>
        </form>
    @endif
</x-more>
