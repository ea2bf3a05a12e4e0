<x-error-page title="Not there"
    :says="$exception->getPrevious() === null && ! str_starts_with($exception->getMessage(), 'The route')
        ? $exception->getMessage()
        : 'What that address led to is not there, or not any more.'" />
