<x-error-page title="Not to be had" :says="match ($exception->getStatusCode()) {
    400 => str_starts_with($exception->getMessage(), 'That address')
        ? $exception->getMessage()
        : 'That address cannot be read.',
    405 => 'That address is not asked for in this way. Go back to the page it belongs to.',
    413 => $exception->getMessage(),
    429 => 'That was asked for too often. Wait a minute.',
    default => '',
}" />
