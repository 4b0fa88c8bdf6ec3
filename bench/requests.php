<?php

declare(strict_types=1);

/*
 * Times requests in turn against the addresses given, so that a drift of the machine meets them all alike; two addresses compare
 * two builds.
 */

$bases = array_slice($argv, 1);
$card = ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm', 'count' => 1];
$envelope = ['make' => 'diagonal-envelope', 'holds' => $card];
$tray = ['make' => 'tray-and-lid', 'holds' => $card, 'options' => ['trayWall' => 'doubled', 'lidWall' => 'doubled']];
$requests = [];
foreach ($bases as $base) {
    $handle = client($base);
    $start = fn (array $spec): string => json_decode($handle('POST', '/designs', ['name' => 'Bench', 'spec' => $spec]), true)['id'];
    $edit = fn (string $id): string => $handle('POST', "/designs/$id/edits", ['id' => uuid(), 'gesture' => 'bench', 'changes' => [['at' => '/holds/width', 'to' => '5 '.random_int(1, 15).'/16 in']]]);
    [$envelopeId, $trayId] = [$start($envelope), $start($tray)];
    $requests[$base] = [
        'empty route' => fn () => $handle('GET', '/ping'),
        'size' => fn () => $handle('POST', '/size', ['spec' => $envelope]),
        'edit, kept' => fn () => $edit($envelopeId),
        'edit, kept: doubled tray' => fn () => $edit($trayId),
    ];
}
$times = [];
for ($run = 0; $run < 220; $run++) {
    foreach ($requests as $base => $some) {
        foreach ($some as $name => $request) {
            $start = hrtime(true);
            $request();
            $run >= 20 && $times[$base][$name][] = (hrtime(true) - $start) / 1e6;
        }
    }
}
foreach ($times as $base => $some) {
    count($bases) > 1 && print "$base\n";
    $medians = array_map(function (array $all): float {
        sort($all);

        return $all[intdiv(count($all), 2)];
    }, $some);
    foreach ($medians as $name => $median) {
        printf("%-24s median %5.1f ms, %4.1f over the empty route, %.2f times it\n", $name, $median, $median - $medians['empty route'], $median / $medians['empty route']);
    }
}

/** @return Closure(string, string, mixed=): string */
function client(string $base): Closure
{
    return function (string $method, string $path, mixed $body = null) use ($base): string {
        $options = ['method' => $method, 'header' => "Content-Type: application/json\r\nConnection: close", 'ignore_errors' => false];
        if ($body !== null) {
            $options['content'] = json_encode($body, JSON_THROW_ON_ERROR);
        }
        $answer = file_get_contents($base.$path, false, stream_context_create(['http' => $options]));
        $answer === false && exit("no answer from $base$path\n");

        return $answer;
    };
}

function uuid(): string
{
    return preg_replace('/^(.{8})(.{4})(.{4})(.{4})(.{12})$/', '$1-$2-$3-$4-$5', bin2hex(random_bytes(16))) ?? '';
}
