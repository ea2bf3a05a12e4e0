<?php

namespace App\Books;

/** A deed needs more than it locked: what it read before was changed until it held it. It is begun anew. */
final class NeedsGrew extends \RuntimeException
{
}
