<x-layout title="Board"><div class="head"><h1>The plan as a list</h1><a href="{{ request()->fullUrlWithQuery(['as' => null]) }}">as a board</a></div>@include('board-list')</x-layout>
