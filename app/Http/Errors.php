<?php

declare(strict_types=1);

namespace App\Http;

use App\Words\Words;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** How errors leave the API: always `{"errors": [{"at": pointer, "message": sentence}]}`. */
final class Errors
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport(InvalidDocument::class);
        $exceptions->render(fn (InvalidDocument $error) => self::answer(422, $error));
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
}
