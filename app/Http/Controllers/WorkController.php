<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\HandOn\FileName;
use App\HandOn\StepPictures;
use App\Models\Design;
use App\Shelf\Drafting;
use App\Words\PieceName;
use App\Words\Spoken;
use App\Words\Words;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\MeasuresPicture;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The steps' pictures, as the work is done piece by piece or tool by tool, for the hand that does it. */
final readonly class WorkController
{
    public function __construct(private Drafting $drafting)
    {
    }

    public function pictures(Request $request, Design $design, Words $words): JsonResponse
    {
        return new JsonResponse([
            'revision' => $design->revision, 'pictures' => $this->drawn($request, $design),
            'spoken' => (new Spoken($words))->steps($this->drafting->draft($design)->sized),
        ]);
    }

    /** One of them as a file, its number counted from 1. */
    public function picture(Request $request, Design $design, string $number): Response
    {
        $picture = $this->drawn($request, $design)[(int) $number - 1] ?? throw new NotFoundHttpException;

        return Download::of($picture, 'image/svg+xml', FileName::of("$design->name step $number").'.svg');
    }

    /** Every piece with all its measures. */
    public function measures(Design $design, Words $words): Response
    {
        $sized = $this->drafting->draft($design)->sized;

        return Download::of(MeasuresPicture::of($sized, array_map(fn (Piece $piece) => PieceName::of($words, $sized, $piece->id), $sized->pieces)), 'image/svg+xml', FileName::of("$design->name measures").'.svg');
    }

    /** @return list<string> */
    private function drawn(Request $request, Design $design): array
    {
        $order = $request->query('order');

        return StepPictures::of($this->drafting->draft($design)->sized, is_string($order) ? $order : '', $request->query('hand') === 'left');
    }
}
