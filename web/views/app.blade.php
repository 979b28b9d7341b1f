<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <meta name="garden" content="{{ $garden ?? '' }}">
  <meta name="instance" content="{{ App\Http\CookieNames::mark((string) config('app.key')) }}">
  <meta name="theme-color" content="#14231c">
  <link rel="manifest" href="/build/manifest.webmanifest">
  <link rel="apple-touch-icon" href="/icon-192.png">
  <meta name="csp-nonce" content="{{ Vite::cspNonce() }}">
  <title>Jolly Penny</title>
  <link rel="icon" href="/icon.svg" type="image/svg+xml">
  @vite('web/src/main.tsx')
</head>
<body>
  <div id="app"></div>
  <div id="overlays"></div>
  <noscript>Jolly Penny needs JavaScript.</noscript>
</body>
</html>
