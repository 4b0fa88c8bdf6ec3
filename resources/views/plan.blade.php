<!doctype html>
<html lang="{{ $words->language() }}">
  <head>
    <meta charset="utf-8">
    <title>{{ $plan['name'] }}</title>
    <style>
      @page { margin: 16mm 15mm; }
      body { font-family: 'Source Sans 3', 'DejaVu Sans', sans-serif; font-size: 11pt; color: #14303a; }
      h1, h2 { font-family: 'Source Serif 4', serif; margin: 0 0 2mm; }
      h1 { font-size: 20pt; } h2 { font-size: 13pt; margin-top: 5mm; }
      table { border-collapse: collapse; width: 100%; } td, th { text-align: left; padding: 1mm 2mm 1mm 0; vertical-align: top; border-bottom: 0.2mm solid #c5d2d5; }
      .sheet { page-break-inside: avoid; margin-bottom: 6mm; }
      .n { font-weight: bold; width: 12mm; white-space: nowrap; } .count { white-space: nowrap; } .at { font-weight: bold; white-space: nowrap; }
    </style>
  </head>
  <body>
    <h1>{{ $plan['name'] }}</h1>
    <table>
      @foreach ($plan['pieces'] as $piece)
        <tr><td class="n">{{ $piece['letter'] }}</td><td>{{ $piece['label'] }}{{ $piece['says'] === null ? '' : '. '.$piece['says'] }}</td><td class="at">{{ $piece['width'] }} × {{ $piece['height'] }}</td><td class="count">{{ $piece['count'] }} ×</td></tr>
      @endforeach
    </table>
    @foreach ($plan['nesting'] as $one)
      @if ($one['isDone'] && $one['kind'] === 'corners')
        <p>{{ $one['says'] }}</p>
      @endif
    @endforeach
    @foreach ($plan['envelopes'] as $one)
      <p><strong>{{ $one['name'] }}</strong>, {{ $one['width'] }} × {{ $one['height'] }}: {{ $words->sentence('plan.envelopes-left', ['left' => $one['left'], 'there' => $one['there']]) }} {{ implode(' ', $one['says']) }}</p>
    @endforeach
    @foreach ($plan['sheets'] as $i => $sheet)
      <div class="sheet">
        <h2>{{ $words->sentence('plan.sheet', ['n' => $i + 1, 'paper' => $sheet['paper'], 'width' => $sheet['width'], 'height' => $sheet['height'], 'times' => $sheet['times']]) }}{{ $sheet['place'] === '' ? '' : ' · '.$sheet['place'] }}</h2>
        @if ($sheet['roll'] !== null)
          <p>{{ $words->sentence('plan.of-a-roll', $sheet['roll']) }}</p>
        @endif
        <table><tr>
          <td style="width: 84mm; border: 0"><img src="{{ $pictures[$i]['src'] }}" style="width: {{ $pictures[$i]['width'] }}mm; height: {{ $pictures[$i]['height'] }}mm"></td>
          <td style="border: 0"><table>
            @foreach ($sheet['told'] as $cut)
              <tr><td class="n">{{ $cut['from'] === $cut['to'] ? $cut['from'] : $cut['from'].'–'.$cut['to'] }}</td><td>{{ $cut['says'] }}</td></tr>
            @endforeach
          </table></td>
        </tr></table>
      </div>
    @endforeach
    @foreach ($plan['papers'] as $paper)
      @if ($paper['entry'] === null)
        <p><strong>{{ $words->sentence('plan.no-paper') }}</strong>: {{ $paper['named'] === '' ? $words->sentence('plan.paper-unnamed') : $paper['named'] }}</p>
      @endif
    @endforeach
    @if ($plan['missing'] !== [])
      <h2>{{ $words->sentence('plan.missing') }}</h2>
      @foreach ($plan['missing'] as $one)
        <p>{{ $words->sentence('plan.missing.'.$one['why'], ['count' => $one['count'], 'piece' => $one['label']]) }}</p>
      @endforeach
    @endif
    @foreach ($plan['envelopes'] as $one)
      @if ($one['packs'] > 0)
        <p>{{ $one['name'] }}: {{ $words->sentence('plan.envelopes-buy', ['packs' => $one['packs'], 'pack' => $one['pack']]) }}</p>
      @endif
    @endforeach
    @if ($plan['shopping'] !== [])
      <h2>{{ $words->sentence('plan.shopping') }}</h2>
      <table>
        @foreach ($plan['shopping'] as $one)
          <tr><td>{{ $words->sentence('plan.buy', ['count' => $one['count'] + $one['spare'], 'paper' => $one['name'], 'width' => $one['width'], 'height' => $one['height'], 'spare' => $one['spare']]) }}</td></tr>
        @endforeach
      </table>
    @endif
  </body>
</html>
