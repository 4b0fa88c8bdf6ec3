<?php

declare(strict_types=1);

namespace App\Http;

use App\Shelf\Overtaken;
use App\Store\Store;
use App\Store\StoreTrouble;
use App\Words\Words;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** How errors leave the API: always `{"errors": [{"at": pointer, "message": sentence}]}`. */
final class Errors
{
    /** The status where the store is the trouble, where it is another than 503. */
    private const STORE = ['store.full' => 507, 'store.no-backup' => 404, 'store.foreign-file' => 422, 'store.newer-file' => 422, 'store.torn-file' => 422, 'store.cutting' => 409];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([InvalidDocument::class, Overtaken::class]);
        $exceptions->report(fn (Throwable $error) => ! self::isToldOfStore($error));
        $exceptions->render(fn (InvalidDocument $error) => self::answer(422, $error));
        $exceptions->render(fn (Overtaken $error) => self::said(409, $error->reason));
        $exceptions->render(function (Throwable $error): ?JsonResponse {
            $trouble = self::storeTrouble($error);

            return $trouble === null ? null : self::said(self::STORE[$trouble->reason] ?? 503, $trouble->reason, $trouble->params);
        });
        // A page that is opened by hand is answered with a page.
        $exceptions->render(fn (NotFoundHttpException $error, Request $request) => $request->is('api/*') ? null : response()->view('missing', [
            'message' => app(Words::class)->of(Reason::of($error->getPrevious() instanceof ModelNotFoundException ? 'request.unknown-design' : 'request.unknown-address')),
            'way' => app(Words::class)->sentence('table.to-shelf'),
        ], 404));
        $exceptions->render(fn (NotFoundHttpException $error) => $error->getPrevious() instanceof ModelNotFoundException
            ? self::said(404, 'request.unknown-design') : self::said(404, 'request.unknown-address'));
        $exceptions->render(fn (HttpExceptionInterface $error) => match ($error->getStatusCode()) {
            405 => self::said(405, 'request.wrong-method'),
            413 => self::said(413, 'request.too-large'),
            default => null,
        });
        $exceptions->render(fn (Throwable $error) => $error instanceof HttpExceptionInterface || config('app.debug') === true
            ? null : self::said(500, 'request.failed'));
    }

    public static function answer(int $status, InvalidDocument $error): JsonResponse
    {
        return new JsonResponse(['errors' => array_map(app(Words::class)->problem(...), $error->problems)], $status);
    }

    /** @param array<string, string> $params */
    public static function said(int $status, string $code, array $params = []): JsonResponse
    {
        return self::answer($status, InvalidDocument::at('', Reason::of($code, $params)));
    }

    /** What ails the store, where that is behind the error; a damaged one is marked, so that nothing more is written to it. */
    private static function storeTrouble(Throwable $error): ?StoreTrouble
    {
        $trouble = $error instanceof PDOException || $error instanceof StoreTrouble ? StoreTrouble::behind($error) : null;
        $trouble?->reason === 'store.damaged' && ! $error instanceof StoreTrouble && Store::current()->markDamaged();

        return $trouble;
    }

    /** Waiting in vain for the lock is no fault to write down; all others are, once each. */
    private static function isToldOfStore(Throwable $error): bool
    {
        return $error instanceof PDOException && StoreTrouble::behind($error)?->reason === 'store.busy' || $error instanceof StoreTrouble;
    }
}
