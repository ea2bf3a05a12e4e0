<?php

namespace App\Http\Requests\Settings;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Settings\Setting;

/** What the shop goes by. */
class SettingsRequest extends DeedRequest
{
    protected function fields(): array
    {
        $names = array_column(Setting::cases(), 'value');

        return [
            'version' => Rules::version(),
            ...array_fill_keys($names, ['nullable', ...Rules::text(Setting::LONGEST)]),
        ];
    }

    /** @return array<string, string> by name; those that were sent */
    public function settings(): array
    {
        $typed = [];
        foreach (Setting::cases() as $setting) {
            if ($this->has($setting->value)) {
                $typed[$setting->value] = $this->string($setting->value)->trim()->value();
            }
        }

        return $typed;
    }
}
