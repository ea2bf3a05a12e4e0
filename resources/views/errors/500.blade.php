<x-error-page title="Something broke"
    :says="'It is not your fault, and what was sent was not booked. What happened stands in the log of the server, '
        .'with the time. Go back and try again.'" />
