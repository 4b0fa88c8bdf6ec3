<!doctype html>
<html lang="{{ $words->sentence('language') }}">
  <head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $name }} · Gimbo</title>
    @if ($format === null)
      @vite(['resources/css/handout.css', 'resources/js/handout.ts'])
    @else
      <style>{!! file_get_contents(resource_path('css/handout.css')) !!}</style>
    @endif
  </head>
  <body>
    @if ($format === null)
      <nav class="bar">
        <a href="/designs/{{ $id }}">{{ $words->sentence('print.back') }}</a>
        <form class="since" method="get">
          <label>{{ $words->sentence('handout.since.compare') }} <input name="since" type="number" min="1" max="{{ $edition - 1 }}" required></label>
          <button>{{ $words->sentence('handout.since.show') }}</button>
        </form>
        <span>
          <a href="/api/designs/{{ $id }}/handout.pdf?paper=a4" download>{{ $words->sentence('handout.pdf.a4') }}</a>
          <a href="/api/designs/{{ $id }}/handout.pdf?paper=letter" download>{{ $words->sentence('handout.pdf.letter') }}</a>
          <button type="button" data-print>{{ $words->sentence('print.print') }}</button>
        </span>
      </nav>
    @else
      <div class="foot">{{ $name }} · <span class="page"></span></div>
    @endif
    <main>
      <h1>{{ $name }}</h1>
      <p class="lead">{!! $lead !!}</p>
      <p class="edition">{{ $words->sentence('handout.edition', ['edition' => (string) $edition]) }}@if ($by !== '') · {{ $words->sentence('handout.by', ['by' => $by]) }}@endif</p>
      @if ($since !== null)
        <div class="notes">
          <h2>{{ $words->sentence('handout.since', ['edition' => (string) request()->query('since')]) }}</h2>
          @foreach ($since as $line)
            <p>{{ $line }}</p>
          @endforeach
        </div>
      @endif

      <table class="halves">
        <tr>
          <td class="picture"><img src="{{ $picture }}" alt="{{ $words->sentence('handout.picture') }}"></td>
          <td>
            <h2>{{ $words->sentence('handout.materials') }}</h2>
            <ul>
              @foreach ($materials as $material)
                <li>{!! $material !!}</li>
              @endforeach
            </ul>
            <h2>{{ $words->sentence('handout.cutting-list') }}</h2>
            <table class="list">
              @foreach ($cuttingList as $piece)
                <tr>
                  <th scope="row">{{ $piece['count'] > 1 ? $piece['count'].' × ' : '' }}{{ $piece['name'] }}</th>
                  <td>{!! $piece['sizes'][0] !!}<br>{!! $piece['sizes'][1] !!}</td>
                </tr>
              @endforeach
            </table>
          </td>
        </tr>
      </table>

      @if ($notes !== [])
        <div class="notes">
          <h2>{{ $words->sentence('handout.notes') }}</h2>
          @foreach ($notes as $line)
            <p>{{ $line }}</p>
          @endforeach
        </div>
      @endif

      <table class="list measures">
        <thead>
          <tr>
            <td><h2>{{ $words->sentence('tab.measures') }}</h2></td>
            @foreach ($systems as $system)
              <td>{{ $system }}</td>
            @endforeach
          </tr>
        </thead>
        <tbody>
          @foreach ($measures as $table)
            @if ($table['piece'] !== '')
              <tr><th colspan="3" class="piece">{{ $table['piece'] }}</th></tr>
            @endif
            @foreach ($table['rows'] as $row)
              <tr>
                <th scope="row">
                  {{ $row['label'] }}
                  @foreach ($row['notes'] as $note)
                    <br><small>{{ $note }}</small>
                  @endforeach
                </th>
                @foreach ($row['figures'] as $figure)
                  <td class="large">
                    {!! $figure['text'] !!}
                    @if ($figure['note'] !== '')
                      <br><small>{{ $figure['note'] }}</small>
                    @endif
                  </td>
                @endforeach
              </tr>
            @endforeach
          @endforeach
          <tr>
            <th scope="row">{{ $words->sentence('print.inside') }}</th>
            @foreach ($inside as $room)
              <td>{!! $room !!}</td>
            @endforeach
          </tr>
        </tbody>
      </table>

      @if ($mended !== null)
        <p><small>{{ $mended }}</small></p>
      @endif

      <table class="steps">
        <thead>
          <tr>
            <td colspan="3"><h2>{{ $words->sentence('tab.steps') }}</h2></td>
            <td class="other">{{ $otherSystem }}</td>
          </tr>
        </thead>
        <tbody>
          @foreach ($steps as $i => $step)
            <tr>
              <td class="number">{{ $i + 1 }}</td>
              <td class="drawing"><img src="{{ $step['drawing'] }}" alt=""></td>
              <td>
                @if ($step['piece'] !== '')
                  <h3>{{ $step['piece'] }}</h3>
                @endif
                <p>{!! $step['says'] !!}</p>
                @if ($step['or'] !== '')
                  <p><small>{!! $step['or'] !!}</small></p>
                @endif
                @foreach ($step['advice'] as $advice)
                  <p><small>{!! $advice !!}</small></p>
                @endforeach
              </td>
              <td class="other">{!! $step['other'] !!}</td>
            </tr>
          @endforeach
        </tbody>
      </table>
    </main>
  </body>
</html>
