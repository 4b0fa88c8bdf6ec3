<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Errors;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses a request that calls Gimbo by a name it does not go by, so that a foreign page cannot rebind one to it. */
final class OnlyKnownHosts
{
    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $host = preg_replace('/:\d+$/', '', (string) $request->headers->get('host'));

        return in_array(strtolower((string) $host), (array) config('gimbo.hosts'), true) ? $next($request) : Errors::said(421, 'request.unknown-host');
    }
}
