<x-layout title="People">
    <div class="head">
        <h1>People</h1>
        <span class="say">Who may log in, and as what.</span>
    </div>
    <table class="list">
        <thead>
            <tr><th>Name</th><th>Login</th><th>Roles</th><th></th><th></th></tr>
        </thead>
        <tbody>
        @foreach ($people as $person)
            <tr>
                <td>{{ $person->name }} <span class="sub text-nowrap">{{ $person->number }}</span></td>
                <td class="num">{{ $person->login }}</td>
                <td>{{ $person->roles()->label() }}</td>
                <td>
                    @if ($person->locked_at)
                        <span class="tag behind">locked</span>
                    @elseif ($person->must_change)
                        <span class="sub">takes an own password at the next login</span>
                    @elseif ($person->is_demo)
                        <span class="sub">has the demo's password</span>
                    @endif
                </td>
                <td class="tight"><x-person-forms :person="$person" /></td>
            </tr>
        @endforeach
        </tbody>
    </table>
    <h2>Let somebody in</h2>
    <x-person-new :others="$others" />
</x-layout>
