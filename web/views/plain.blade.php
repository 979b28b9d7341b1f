<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>@yield('title') · Jolly Penny</title>
  <link rel="icon" href="/icon.svg" type="image/svg+xml">
  <link rel="stylesheet" href="/plain.css">
</head>
<body>
  <header><p><a href="/">Jolly <b>Penny</b></a></p></header>
  <main>
    <h1>@yield('title')</h1>
    @yield('content')
  </main>
</body>
</html>
