<!doctype html>
<html lang="{{ $words->language() }}">
  <head>
    <meta charset="utf-8">
    <title>{{ $name }}</title>
    <style>
      @page { margin: 0; }
      body { margin: 0; font-family: 'Source Sans 3', 'DejaVu Sans', sans-serif; }
      .page { position: relative; width: {{ $format->width() }}mm; height: {{ $format->height() - 0.5 }}mm; page-break-after: always; }
      .page:last-child { page-break-after: auto; }
      .label { position: absolute; border: 0.1mm dashed #888; text-align: center; overflow: hidden; }
      .label span { display: block; }
    </style>
  </head>
  <body>
    @foreach ($pages as $page)
      <div class="page">
        @foreach ($page as $label)
          <div class="label" style="left: {{ $label['left'] }}mm; top: {{ $label['top'] }}mm; width: {{ $label['width'] - 0.2 }}mm; height: {{ $label['height'] - 0.2 }}mm; line-height: {{ $label['height'] }}mm; font-size: {{ round($label['points'], 1) }}pt">{{ $label['text'] }}</div>
        @endforeach
      </div>
    @endforeach
  </body>
</html>
