@props(['booking'])
<x-error-page title="It was booked"
    :says="$booking->says
        .' That stands. Only the page after it could not be shown; the log of the server says why.'
        .' Do not send it again.'" />
