<?php

namespace App\Actions\Settings;

/** Somebody who works at a work centre, as it was typed. */
final readonly class TypedWorker
{
    /**
     * @param  int|null  $id  null = somebody new
     * @param  int  $version  of what was seen
     * @param  string  $number  the badge says
     * @param  bool  $isThere  works here still
     * @param  string  $qualifications  such as "TIG welding|crane"
     */
    public function __construct(
        public ?int $id,
        public int $version,
        public string $number,
        public string $name,
        public int $workCentreId,
        public int $calendarId,
        public bool $isThere,
        public string $qualifications = '',
    ) {
    }

    /** @return array<string, int|string> by column */
    public function columns(): array
    {
        return [
            'name' => $this->name,
            'work_centre_id' => $this->workCentreId,
            'calendar_id' => $this->calendarId,
            'is_there' => (int) $this->isThere,
            'qualifications' => $this->qualifications,
        ];
    }
}
