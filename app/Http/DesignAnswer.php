<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;

/** An answer that says what a design is now. */
final class DesignAnswer extends JsonResponse
{
    /** @param array<string, mixed> $view as DesignView makes it */
    public function __construct(public readonly string $design, array $view, int $status)
    {
        parent::__construct($view, $status);
    }
}
