<!doctype html>
<html lang="{{ config('gimbo.language') }}" data-theme="light">
  <head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Gimbo</title>
    <link rel="icon" href="data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 32 32'%3E%3Cpath d='M16 3 29 16 16 29 3 16Z' fill='%230b6e6e'/%3E%3Cpath d='M8 12h16v8H8z' fill='%23fff'/%3E%3C/svg%3E">
    @foreach (['source-sans-3/files/source-sans-3-latin-wght-normal', 'source-serif-4/files/source-serif-4-latin-standard-normal'] as $font)
      <link rel="preload" as="font" type="font/woff2" crossorigin href="{{ Vite::asset("node_modules/@fontsource-variable/$font.woff2") }}">
    @endforeach
    @viteReactRefresh
    @vite(['resources/js/main.tsx'])
  </head>
  <body>
    <div id="app"></div>
    <noscript>Gimbo draws in the browser and needs JavaScript switched on.</noscript>
  </body>
</html>
