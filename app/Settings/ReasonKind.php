<?php

namespace App\Settings;

use Illuminate\Support\Facades\DB;

/** For what reasons are offered. */
enum ReasonKind: string
{
    case Scrap = 'scrap';
    case Change = 'change';

    public function label(): string
    {
        return match ($this) {
            self::Scrap => 'scrap',
            self::Change => 'changes',
        };
    }

    /** @return list<string> in the order they are offered */
    public function reasons(): array
    {
        $reasons = DB::table('reasons')->where('kind', $this->value)->orderBy('position')->pluck('says')->all();

        return array_values(array_filter($reasons, is_string(...)));
    }
}
