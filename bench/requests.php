<?php

declare(strict_types=1);

/*
 * Times requests in turn against the address given, so that a drift of the machine meets them all alike.
 */

$base = $argv[1];
$spec = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm', 'count' => 1]];
$handle = client($base);
$id = json_decode($handle('POST', '/designs', ['name' => 'Bench', 'spec' => $spec]), true)['id'];
$requests = [
    'empty route' => fn () => $handle('GET', '/ping'),
    'size' => fn () => $handle('POST', '/size', ['spec' => $spec]),
    'edit, kept' => fn () => $handle('POST', "/designs/$id/edits", ['id' => uuid(), 'gesture' => 'bench', 'changes' => [['at' => '/holds/width', 'to' => '5 '.random_int(1, 15).'/16 in']]]),
];
$times = array_fill_keys(array_keys($requests), []);
for ($run = 0; $run < 220; $run++) {
    foreach ($requests as $name => $request) {
        $start = hrtime(true);
        $request();
        $run >= 20 && $times[$name][] = (hrtime(true) - $start) / 1e6;
    }
}
$medians = array_map(function (array $some): float {
    sort($some);

    return $some[intdiv(count($some), 2)];
}, $times);
foreach ($medians as $name => $median) {
    printf("%-12s median %5.1f ms, %.2f times the empty route\n", $name, $median, $median / $medians['empty route']);
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
