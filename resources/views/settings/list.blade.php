<x-layout :title="$list->title">
    <x-form method="put" :to="route($list->name.'.update')">
        <div class="head">
            <h1>{{ $list->title }}</h1>
            <span class="say">{{ $list->say }}</span>
        </div>
        @foreach ($list->lacking as $says)
            <div class="said not" role="status">{{ $says }}</div>
        @endforeach
        <table class="list typed level">
            <thead>
                <tr>
                    <th>Code</th>
                    @foreach ($list->fields as [$label])
                        <th>{{ $label }}</th>
                    @endforeach
                    @if ($list->retired)<th></th>@endif
                    <th class="n">{{ $list->uses }}</th>
                </tr>
            </thead>
            <tbody data-grow>
                @foreach ($list->form->rows as $at => $row)
                    @include('settings.list-row')
                @endforeach
            </tbody>
        </table>
        @can('set-up')
            <div class="actions"><button class="btn btn-act">Keep these {{ $list->name }}</button></div>
        @endcan
    </x-form>
</x-layout>
