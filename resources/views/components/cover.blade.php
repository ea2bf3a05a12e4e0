@props(['line'])
@php($open = \Brick\Math\BigDecimal::of($line->quantity)->minus($line->shipped_quantity)->minus($line->cancelled_quantity)->minus($line->covered)->isPositive())
<span @class(['soon' => $open && ! $line->late, 'behind notched' => $line->late])>{{ \App\Wording\CoverWords::say($line, $line->covers) }}</span>
