{{-- Sent before session and sign-in are known, so it stands on its own. --}}
<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Too large · Aqbel</title>@vite(['resources/css/app.css'])</head>
<body>
    <main class="page"><section class="door">
        <p class="wordmark wordmark-large">Aqbel</p>
        <h1>That file is far too large</h1>
        <p>
            A photograph may have 12 MB, a circuit file 1 MB. Nothing was stored and nothing was changed.
            Set the camera to a smaller picture, go back, and send it again.
        </p>
    </section></main>
</body>
</html>
