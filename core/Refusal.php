<?php

declare(strict_types=1);

namespace KeepPace\Core;

/** A deed the rules of the trade do not allow; its message tells a person what is wrong and what to do. */
interface Refusal extends \Throwable
{
}
