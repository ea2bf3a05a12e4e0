<x-error-page title="Open for too long" says="The page had been open for long. Go back, reload it and send again." />
