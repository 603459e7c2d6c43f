app-the-app-does-not-answer = The app does not answer.
app-start-it-again-what-you-typed = Start it again. What you typed is kept here.
app-the-app-did-not-answer-in = The app did not answer in time, so this was not pressed.
app-look-at-the-cooker-then-press = Look at the cooker, then press again.
app-skip-to-the-page = Skip to the page
app-there-is-nothing-at-this-address = There is nothing at this address.
app-go-to-plan = Go to Plan
app-loading-the-page = Loading the page …
app-this-page-could-not-be-shown = This page could not be shown
app-the-mistake-is-ours-what-you = The mistake is ours. What you typed is kept, and timers keep running.
app-show-it-again = Show it again
app-reload-the-app = Reload the app
app-time-is-up = Time is up: { $title }
app-got-it = Got it
app-go-to-it = Go to it
app-ring-out-loud-on-this-device = Ring out loud on this device
app-touch-the-page-once-this-browser = Touch the page once. This browser stays silent until then.
app-use-that-line-of-what-if = use that line of “What if”, while it has the focus
app-step-a-measure-the-liquid-line = step a measure, the liquid line, or a moment of the chart
app-single-keys-work = single keys work
app-keys = Keys
app-plan = Plan
app-convert = Convert
app-schedule = Schedule
app-cook = Cook
app-log = Log
app-my-kitchen = My kitchen
app-guide = Guide
app-pneumachron = Pneumachron
app-views = Views
app-new-plan = New plan
app-saved-plans = Saved plans
app-dark-colors = dark colors
app-light-colors = light colors
app-the-app-does-not-answer-2 = The app does not answer.
app-for-now = The app has not answered for { $gone }.
app-nothing-is-lost-what-you-typed = Nothing is lost. What you typed is kept here, and the app tries again on its own.
app-to-be-sent =
    { $waiting ->
        [one] One press waits to be sent.
       *[other] { $waiting } presses wait to be sent.
    }
app-not-found = Not found
app-arrows = arrows
