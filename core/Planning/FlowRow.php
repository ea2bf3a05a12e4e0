<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/** Something that comes or goes, and what is there after it. */
final readonly class FlowRow
{
    public function __construct(public FlowEvent $event, public BigDecimal $after)
    {
    }

    /** The UTC minute of it. */
    public function at(): int
    {
        return $this->event->at ?? throw new \LogicException('What has no day stands in no flow.');
    }
}
