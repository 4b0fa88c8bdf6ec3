<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\DesignAnswer;
use App\Models\Design;
use App\Shelf\Drafting;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Illuminate\Http\JsonResponse;

/** Versions of one design, side by side: each is a design of its own that stands beside another until one is kept. */
final readonly class VariantController
{
    private const MOST = 2;

    public function __construct(private Drafting $drafting)
    {
    }

    public function index(Design $design): JsonResponse
    {
        return new JsonResponse(['variants' => $design->variants()->orderBy('id')->pluck('id')->all()]);
    }

    /** One more, the same as the design is now. */
    public function store(Design $design): JsonResponse
    {
        if ($design->variants()->count() >= self::MOST) {
            throw InvalidDocument::at('', Reason::of('variants.enough', ['most' => self::MOST]));
        }

        return new DesignAnswer($this->drafting->start($design->toDocument(), variantOf: $design->id), 201);
    }

    /** Keeps one: the design becomes what that version is, and the comparing is over. */
    public function keep(Design $design, string $variant): JsonResponse
    {
        $kept = $design->variants()->findOrFail($variant);

        return new DesignAnswer($this->drafting->keep($design, $kept), 200);
    }

    public function destroy(Design $design, string $variant): JsonResponse
    {
        $design->variants()->findOrFail($variant)->forceDelete();

        return new JsonResponse((object) []);
    }
}
