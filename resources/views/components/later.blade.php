@props(['from'])
{{-- What is asked for when that in which it stands is opened. --}}
<div hx-get="{{ $from }}" hx-trigger="toggle from:closest details once"></div>
