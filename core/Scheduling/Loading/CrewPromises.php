<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

/** What a crew is promised to already, for whoever asks when some of it can be had. */
interface CrewPromises
{
    /**
     * Whether too few can be had for a use, and then when the stretch ends in which they cannot, or a part of it. What
     * comes behind the use is not looked at: there nobody may be asked for at all.
     *
     * @return int until when; -1 = they can be had
     */
    public function lackingUntil(int $from, int $to, int $number, ?string $qualification): int;
}
