<?php

namespace App\Http\Requests;

use App\Shop\PlantCalendar;
use App\Wording\When;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Contracts\Validation\ValidatorAwareRule;
use Illuminate\Validation\Validator;
use KeepPace\Core\Calendar\TypedDay;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Refused;

/**
 * A day as people type it. What is validated is "YYYY-MM-DD"; what was typed goes back into the form when it is wrong.
 * A closed day is asked about; an exclamation mark behind it says that it is meant.
 */
final class PlainDay implements ValidationRule, ValidatorAwareRule
{
    private Validator $validator;

    /** @param  bool  $isWorked  it should be a day on which the plant works */
    public function __construct(
        private readonly int $yearsBack = 2,
        private readonly int $yearsAhead = 5,
        private readonly bool $isWorked = false,
    ) {
    }

    public function setValidator(Validator $validator): static
    {
        $this->validator = $validator;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value)) {
            $fail('Type a day.');

            return;
        }
        try {
            $day = $this->read($value);
            $this->validator->setValue($attribute, $day);
        } catch (Refused $refused) {
            $fail($refused->getMessage());
        }
    }

    /**
     * @return string "YYYY-MM-DD".
     *
     * @throws Refused
     */
    public function read(string $typed): string
    {
        $isMeant = str_ends_with(rtrim($typed), '!');
        $days = self::between($this->yearsBack, $this->yearsAhead);
        $day = $days->read($isMeant ? substr(rtrim($typed), 0, -1) : $typed);
        $plant = $this->isWorked && ! $isMeant ? PlantCalendar::known() : null;
        if ($plant !== null && ! $plant->isWorkingDay($day)) {
            throw Refused::because(self::closed($plant, $day));
        }

        return $day;
    }

    /** Reads days from so many years back to so many ahead. */
    public static function between(int $yearsBack, int $yearsAhead): TypedDay
    {
        $today = When::today();

        return new TypedDay(
            $today->toDateString(),
            $today->subYears($yearsBack)->toDateString(),
            $today->addYears($yearsAhead)->toDateString(),
        );
    }

    private static function closed(WorkingCalendar $plant, string $day): string
    {
        $says = When::dayOf($day);
        $next = When::dayOf($plant->workingDaysFrom($day, 1));

        return "{$says} is closed in the plant's calendar. Take {$next}, or type '{$says}!' to keep it.";
    }
}
