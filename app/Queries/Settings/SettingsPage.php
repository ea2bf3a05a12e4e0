<?php

namespace App\Queries\Settings;

use App\Queries\ProductTrail;
use App\Reading\Row;
use App\Settings\Numbered;
use App\Settings\ReasonKind;
use App\Settings\Setting;
use App\Settings\Settings;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** All that the shop goes by. */
final readonly class SettingsPage
{
    /**
     * @param  array<string, array{string, int}>  $numbers  prefix and what is given next, by what is numbered
     * @param  Collection<int, \App\Queries\ProductChange>  $changes
     */
    private function __construct(private array $numbers, public int $version, public Collection $changes)
    {
    }

    public static function now(): self
    {
        $numbers = [];
        foreach (Row::all(DB::table('numberings'), fn (Row $row): Row => $row) as $row) {
            $numbers[$row->text('code')] = [$row->text('prefix'), $row->int('next')];
        }

        return new self($numbers, Settings::version(), ProductTrail::of('settings', 0));
    }

    /** @return array<string, list<Setting>> by the heading they stand under */
    public function groups(): array
    {
        $groups = [];
        foreach (Setting::cases() as $setting) {
            $groups[$setting->group()][] = $setting;
        }

        return $groups;
    }

    public function value(Setting $setting): string
    {
        return Settings::text($setting);
    }

    /** @return list<Numbered> */
    public function numbered(): array
    {
        return Numbered::cases();
    }

    public function prefix(Numbered $what): string
    {
        return $this->rule($what)[0];
    }

    public function next(Numbered $what): int
    {
        return $this->rule($what)[1];
    }

    /** @return list<ReasonKind> */
    public function reasonKinds(): array
    {
        return ReasonKind::cases();
    }

    /** @return list<string> */
    public function reasons(ReasonKind $kind): array
    {
        return $kind->reasons();
    }

    /** @return array{string, int} */
    private function rule(Numbered $what): array
    {
        /** @var array{string, int} $begin */
        $begin = config("pace.numbers.{$what->value}");

        return $this->numbers[$what->value] ?? $begin;
    }
}
