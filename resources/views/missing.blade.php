<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Gimbo</title>
    <style>
      body { font: 1.25rem/1.5 Georgia, serif; margin: 4rem auto; max-width: 34rem; padding: 0 1.5rem; color: #14303b; background: #f6f4ee }
      a { color: #0b6e6e; display: inline-block; padding: 0.6rem 0 }
    </style>
  </head>
  <body>
    <h1>{{ $message }}</h1>
    <p><a href="/">{{ $way }}</a></p>
  </body>
</html>
