<x-error-page title="Not to be had" :says="match ($exception->getStatusCode()) {
    400 => str_starts_with($exception->getMessage(), 'That address') ? $exception->getMessage() : 'That address cannot be read.',
    405 => 'That address is not asked for in this way. Go back to the page it belongs to.',
    413 => 'That was more than '.\App\Http\Upload::words().', which is the most that can be sent at once. Nothing of it was taken in. Send it in parts.',
    429 => 'That was asked for too often. Wait a minute.',
    default => '',
}" />
