<?php

declare(strict_types=1);

namespace App\Http;

use App\Screen\DesignView;
use App\Shelf\Draft;
use Illuminate\Http\JsonResponse;

/** An answer that says what a design is now; told only when it is to go out, so that nobody waits for that. */
final class DesignAnswer extends JsonResponse
{
    public function __construct(public readonly Draft $draft, int $status)
    {
        parent::__construct(status: $status);
    }

    /** @param array<string, mixed> $view as DesignView makes it */
    public function tell(array $view): self
    {
        $this->setData($view);

        return $this;
    }
}
