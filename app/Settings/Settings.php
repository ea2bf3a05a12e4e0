<?php

namespace App\Settings;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;

/** What the shop has set, read once a request, a job and a planning. */
final class Settings
{
    /** @var array<string, string>|null by name */
    private ?array $set = null;

    /** Whole number of a setting. */
    public static function whole(Setting $setting): int
    {
        return (int) self::text($setting);
    }

    /** As it is typed: a number, a time "HH:MM", a choice; '' = none. */
    public static function text(Setting $setting): string
    {
        return app(self::class)->set()[$setting->value] ?? self::before($setting);
    }

    public static function yes(Setting $setting): bool
    {
        return self::text($setting) === Setting::YES;
    }

    /** What is set is read again where it is asked for next. */
    public static function readAnew(): void
    {
        app(self::class)->set = null;
    }

    /** A number for what is set now: a page that was opened before somebody changed it has another. */
    public static function version(): int
    {
        $all = array_map(self::text(...), Setting::cases());

        return crc32(implode("\n", $all));
    }

    /** Of a shop that has not set it. */
    private static function before(Setting $setting): string
    {
        $default = config("pace.{$setting->value}");

        return match (true) {
            is_bool($default) => $default ? Setting::YES : 'no',
            is_scalar($default) => (string) $default,
            default => '',
        };
    }

    /** @return array<string, string> */
    private function set(): array
    {
        if ($this->set === null) {
            $this->set = [];
            foreach (Row::all(DB::table('settings')->select(['name', 'value']), fn (Row $row): Row => $row) as $row) {
                $this->set[$row->text('name')] = $row->text('value');
            }
        }

        return $this->set;
    }
}
