@props(['terms'])
{{-- What each field of a table is for, on asking. --}}
<details class="more">
    <summary>What is each for?</summary>
    <dl class="facts terms">
        @foreach ($terms as $term => $says)
            <dt>{{ $term }}</dt>
            <dd>{{ $says }}</dd>
        @endforeach
    </dl>
</details>
