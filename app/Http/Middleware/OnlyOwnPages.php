<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Errors;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Refuses what another site's page sends here, and bodies that are no JSON or too large.
 *
 * There are no cookies to ride on, but a page anywhere could post to an address on the maker's own machine: browsers
 * say where a request comes from (`Sec-Fetch-Site`, `Origin`), and they ask first before they send JSON elsewhere.
 */
final class OnlyOwnPages
{
    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! $this->isOwn($request)) {
            return Errors::said(403, 'request.cross-site');
        }
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        if ($request->is('api/backups/take-in')) {
            // Read line by line, never as a whole.
            return (int) $request->headers->get('content-length', '0') > config('gimbo.largest_archive') ? Errors::said(413, 'request.too-large') : $next($request);
        }
        $length = (int) $request->headers->get('content-length', '0');
        if ($length > config('gimbo.largest_body') || strlen($request->getContent()) > config('gimbo.largest_body')) {
            return Errors::said(413, 'request.too-large');
        }
        if ($request->getContent() !== '' && ! $request->isJson()) {
            return Errors::said(415, 'request.not-json');
        }

        return $next($request);
    }

    private function isOwn(Request $request): bool
    {
        $site = $request->headers->get('sec-fetch-site');
        $isNavigation = $request->isMethodSafe() && $request->headers->get('sec-fetch-mode') === 'navigate';
        if ($site !== null && ! in_array($site, ['same-origin', 'none'], true) && ! $isNavigation) {
            return false;
        }
        $origin = $request->headers->get('origin');

        return $origin === null || $origin === $request->getSchemeAndHttpHost();
    }
}
