<?php

declare(strict_types=1);

namespace App\Console;

use App\Http\Middleware\SecurityHeaders;
use App\Words\Words;
use Gimbo\Core\Error\Reason;
use Illuminate\Console\Command;

/** Writes what the web server and PHP's process manager are told, for this Gimbo alone. */
final class ServingCommand extends Command
{
    protected $signature = 'gimbo:serving {run : the folder for what only counts while it runs} {port}';

    protected $description = 'Writes the configuration of the web server that bin/start runs';

    /** What PHP is told of a request (CGI 1.1, RFC 3875). */
    private const FASTCGI = [
        'SCRIPT_FILENAME' => '{public}/index.php', 'SCRIPT_NAME' => '/index.php', 'DOCUMENT_ROOT' => '{public}', 'REQUEST_METHOD' => '$request_method', 'REQUEST_URI' => '$request_uri',
        'QUERY_STRING' => '$query_string', 'CONTENT_TYPE' => '$content_type', 'CONTENT_LENGTH' => '$content_length', 'SERVER_PROTOCOL' => '$server_protocol',
        'GATEWAY_INTERFACE' => 'CGI/1.1', 'SERVER_SOFTWARE' => 'gimbo', 'REMOTE_ADDR' => '$remote_addr', 'REMOTE_PORT' => '$remote_port', 'SERVER_ADDR' => '$server_addr',
        'SERVER_PORT' => '$server_port', 'SERVER_NAME' => '$host', 'REDIRECT_STATUS' => '200',
    ];

    /** What is said where the web server itself refuses. */
    private const SAID = ['bad' => 'request.bad', 'late' => 'request.late', 'large' => 'request.too-large', 'long' => 'request.too-long', 'nothing' => 'request.unknown-address', 'down' => 'request.down'];

    public function handle(Words $words): int
    {
        [$run, $isRoot] = [is_string($run = $this->argument('run')) ? $run : '', posix_geteuid() === 0];
        $known = [
            '{run}' => $run, '{port}' => is_string($port = $this->argument('port')) && ctype_digit($port) ? $port : '8017', '{logs}' => storage_path('logs'), '{public}' => public_path(),
            '{workers}' => (string) max(1, (int) (getenv('GIMBO_WORKERS') ?: 4)),
            '{largest_body}' => (string) config('gimbo.largest_body'), '{largest_archive}' => (string) config('gimbo.largest_archive'),
            '{headers}' => implode(' ', array_map(fn (string $name, string $value) => "add_header $name \"$value\" always;", array_keys(SecurityHeaders::ALL), SecurityHeaders::ALL)),
        ];
        $known['{fastcgi}'] = implode(' ', array_map(fn (string $name, string $value) => "fastcgi_param $name ".strtr($value, $known).';', array_keys(self::FASTCGI), self::FASTCGI));
        foreach (self::SAID as $place => $code) {
            $said = json_encode(['errors' => [['at' => '', 'message' => $words->of(Reason::of($code))]]], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
            $known['{'.$place.'}'] = strtr($said, ['\\' => '\\\\', "'" => "\\'", '$' => '']);
        }
        foreach (['nginx.conf' => $isRoot ? 'user root;' : '', 'php-fpm.conf' => $isRoot ? "user = root\ngroup = root" : ''] as $file => $as) {
            file_put_contents("$run/$file", strtr((string) file_get_contents(config_path("serve/$file")), $known + ['{as}' => $as]));
        }

        return self::SUCCESS;
    }
}
