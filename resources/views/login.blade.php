<x-layout title="Log in">
    <div class="login">
        <form method="post" action="{{ route('login.store') }}" data-whole>
            @csrf
            <h1>Keep Pace</h1>
            <p class="sub">What can be released, what will be late, what comes next.</p>
            <div class="mb-2">
                <label for="login">Login</label>
                <input class="form-control w-100" id="login" name="login" value="{{ old('login') }}"
                    autocomplete="username" required autofocus>
                <x-why field="login" />
            </div>
            <div class="mb-3">
                <label for="password">Password</label>
                <input class="form-control w-100" id="password" type="password" name="password"
                    autocomplete="current-password" required>
            </div>
            <button class="btn btn-act">Log in</button>
        </form>
        @if ($people->isNotEmpty())
            <div>
                <h2>People of the demo</h2>
                <table class="list">
                    <thead>
                        <tr>
                            <th>Login</th>
                            <th>Name</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($people as $person)
                            <tr>
                                <td class="num">{{ $person->login }}</td>
                                <td>{{ $person->name }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
                <p class="sub mt-2">Demo password: pace</p>
            </div>
        @endif
    </div>
</x-layout>
