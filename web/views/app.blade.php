<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <meta name="csrf-token" content="{{ csrf_token() }}">
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
