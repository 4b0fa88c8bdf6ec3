<!doctype html>
<html lang="{{ $language }}" data-theme="light">
  <head>
    <meta charset="utf-8">
    <meta http-equiv="Content-Security-Policy" content="default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; img-src data:; font-src data:; base-uri 'none'; form-action 'none'">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $name }} · Gimbo</title>
    <style>{!! $style !!}</style>
  </head>
  <body>
    <div id="app"></div>
    <script type="application/json" id="held">{!! $held !!}</script>
    <script>{!! $script !!}</script>
  </body>
</html>
