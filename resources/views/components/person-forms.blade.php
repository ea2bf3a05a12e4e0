<x-more summary="change" :open="$isOpen">
    <x-form class="actions align-items-start" method="put" :key="$role->form" :to="route('people.update', $person->id)">
        <x-role-ticks :in="$role" :label="'Roles of '.$person->name" :roles="$person->roles()" />
        <button class="btn btn-quiet btn-small">Give these roles</button>
    </x-form>
    <x-form class="actions align-items-start" method="put" :key="$reset->form" :to="route('people.reset', $person->id)">
        <x-field bare name="password" :label="'New password for '.$person->name" placeholder="new password"
            size="18" />
        <button class="btn btn-quiet btn-small">Give this password</button>
    </x-form>
    @if ($person->locked_at)
        <x-form class="actions" method="delete" :to="route('people.unlock', $person->id)">
            <button class="btn btn-quiet btn-small">Let {{ $person->name }} in again</button>
        </x-form>
    @else
        <x-form class="actions align-items-start" :key="$lock->form" :to="route('people.lock', $person->id)">
            <x-field bare name="reason" :label="'Why '.$person->name.' is locked'" placeholder="why" size="18"
                maxlength="200" />
            <button class="btn btn-quiet btn-small">Lock</button>
        </x-form>
    @endif
</x-more>
