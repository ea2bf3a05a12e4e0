<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

/** What a crew is promised to already, for whoever asks when some of it can be had. */
interface CrewPromises
{
    /**
     * The first of some uses for which too few can be had, and when the stretch ends in which they cannot, or a part of
     * it. What comes behind the use is not looked at: there nobody may be asked for at all.
     *
     * @param  non-empty-list<array{int, int, int, bool}>  $uses  from, to, persons, whether it is the run; in order
     * @return array{int, bool}|null until when, and whether it is the run; null = they can be had
     */
    public function lack(array $uses, ?string $qualification): ?array;
}
