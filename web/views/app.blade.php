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
@foreach ($ahead ?? [] as $file)
  <link @if (str_ends_with($file, '.css')) rel="preload" as="style" crossorigin @else rel="modulepreload" @endif href="{{ $file }}">
@endforeach
</head>
<body>
@if (($early ?? []) !== [])
  <main id="early" aria-busy="true">
    <p>Jolly <span>Penny</span></p>
    <p>{{ $early['name'] }}</p>
    <dl>
@foreach ($early['figures'] as [$name, $shown])
      <div><dt>{{ $name }}</dt><dd>{{ $shown }}</dd></div>
@endforeach
    </dl>
    <p>{{ $early['setup'] }}</p>
  </main>
  <script type="application/json" id="known">{!! $early['known'] !!}</script>
@endif
  <div id="app"></div>
  <div id="overlays"></div>
  <noscript>Jolly Penny needs JavaScript.</noscript>
</body>
</html>
