<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Drafting;
use App\HandOn\FileName;
use App\Models\Design;
use App\Words\Spoken;
use App\Words\StepWords;
use App\Words\Words;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\MeasuresPicture;
use Gimbo\Core\Exchange\StepPicture;
use Gimbo\Core\Work\ByTool;
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
        $pictures = $this->drawn($request, $design);
        ksort($pictures);
        $sized = $this->drafting->draft($design)->sized;
        [$said, $spoken] = [new StepWords($words, $sized), new Spoken($words)];

        return new JsonResponse([
            'revision' => $design->revision, 'pictures' => array_values($pictures),
            'spoken' => array_map(fn (int $i) => implode(' ', array_map($spoken->of(...), $said->of($i))), array_keys($sized->steps())),
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

        return Download::of(MeasuresPicture::of($sized, array_map(fn (Piece $piece) => StepWords::nameOf($words, $piece->id), $sized->pieces)), 'image/svg+xml', FileName::of("$design->name measures").'.svg');
    }

    /** @return array<int, string> */
    private function drawn(Request $request, Design $design): array
    {
        $sized = $this->drafting->draft($design)->sized;
        $order = $request->query('order') === 'by-tool' ? ByTool::order($sized) : array_keys($sized->steps());

        return StepPicture::all($sized, $order, $request->query('hand') === 'left');
    }
}
