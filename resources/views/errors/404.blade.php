<x-error-page title="Not there" :says="$exception->getMessage()" />
