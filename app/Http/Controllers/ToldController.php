<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Design;
use App\Screen\SizedView;
use App\Shelf\Drafting;
use Illuminate\Http\JsonResponse;

/** What of a design is worked out only where somebody looks at it: its steps, and how it is folded. */
final readonly class ToldController
{
    public function __construct(private Drafting $drafting, private SizedView $view)
    {
    }

    public function steps(Design $design): JsonResponse
    {
        return new JsonResponse(['mark' => $design->mark()] + $this->view->steps($this->drafting->draft($design)->sized));
    }

    public function folding(Design $design): JsonResponse
    {
        return new JsonResponse(['mark' => $design->mark(), 'folding' => $this->view->folding($this->drafting->draft($design)->sized)]);
    }
}
