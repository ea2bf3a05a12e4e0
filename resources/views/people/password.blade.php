<x-layout title="Your password">
    <div class="head">
        <h1>Your password</h1>
    </div>
    @if (auth()->user()->must_change)
        <p class="said note">Your password was given to you by somebody else. Take one of your own first.</p>
    @endif
    <x-form class="field-column" method="put" :to="route('password.update')" data-whole>
        <x-field name="present" label="Present password" type="password" autocomplete="current-password" required />
        <x-field name="new" label="New password, 12 characters or more" type="password" autocomplete="new-password"
            required />
        <x-field name="again" label="The new one again" type="password" autocomplete="new-password" required />
        <button class="btn btn-act">Take the new password</button>
        <p class="sub">
            A few words of your own are easy to keep in mind. Wherever else you are logged in, that is ended.
        </p>
    </x-form>
</x-layout>
