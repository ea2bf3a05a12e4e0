{{-- Files that hang on something; who may change it hangs others on it. --}}
@foreach ($files as $file)
    @if ($file->isShown())
        <a href="{{ route('files.show', $file->id) }}">
            <img class="shown" src="{{ route('files.show', $file->id) }}" alt="{{ $file->name }}" loading="lazy"
                width="{{ $file->width }}" height="{{ $file->height }}">
        </a>
    @endif
@endforeach
@if ($files->isNotEmpty())
    <h2>Files</h2>
    @foreach ($files as $file)
        <div class="hung">
            @if ($file->isThumb())
                <a href="{{ route('files.show', $file->id) }}" aria-hidden="true" tabindex="-1">
                    <img class="thumb" src="{{ route('files.show', $file->id) }}" alt="" loading="lazy"
                        width="{{ $file->width }}" height="{{ $file->height }}">
                </a>
            @endif
            <a class="way" href="{{ route('files.show', $file->id) }}">{{ $file->name }}</a>
            <span class="sub">{{ $file->what() }}, {{ $file->says() }}, {{ $file->since }}</span>
            @can($on->right()->value)
                <x-form method="delete" :key="'off-'.$file->id" :to="route('files.destroy', $file->id)">
                    <button class="btn btn-quiet btn-small">Take off</button>
                </x-form>
            @endcan
        </div>
    @endforeach
@endif
@can($on->right()->value)
    <x-more summary="Hang a file here" :open="$errors->has('file')">
        <x-form class="actions align-items-end" key="file" :to="route($on->value.'.files', $id)"
            enctype="multipart/form-data">
            <div class="in">
                <label for="f-file">Drawing, picture, certificate</label>
                <input class="form-control" type="file" id="f-file" name="file"
                    accept=".pdf,.png,.jpg,.jpeg,.webp,.txt,.csv,.dxf,.stp,.step">
                <x-why field="file" />
            </div>
            <x-choice name="kind" label="It is a" :options="$kinds" :value="$usual" />
            @if ($steps)
                <x-field name="step" label="Of step, if of one" class="n few" inputmode="numeric" />
            @endif
            <x-field name="name" label="Called, if not as the file" size="20" maxlength="120" />
            <button class="btn btn-quiet">Hang it here</button>
        </x-form>
    </x-more>
@endcan
