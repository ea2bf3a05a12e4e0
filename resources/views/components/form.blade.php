<form {{ $attributes }} method="post" action="{{ $to }}">
    @csrf
    @if ($method !== 'post')
        @method($method)
    @endif
    @token($in->form)
    {{ $slot }}
</form>
