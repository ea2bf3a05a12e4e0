<x-error-page title="Not yours to do" :says="$exception->getMessage()" />
