<?php

declare(strict_types=1);

namespace App\Screen;

use App\Words\PieceName;
use App\Words\Words;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Exchange\Detail;
use Gimbo\Core\Telling\ByTool;

/** What the core makes of a request, as the browser draws it. Steps and folds are worked out only where they are looked at. */
final readonly class SizedView
{
    public function __construct(private Words $words)
    {
    }

    /** @return array<string, mixed> its figures and flat patterns */
    public function of(Design $design): array
    {
        $written = DesignWriter::write($design, Detail::Result, hasSteps: false);
        foreach ($design->pieces as $i => $piece) {
            $written['pieces'][$i]['name'] = PieceName::of($this->words, $design, $piece->id);
            $written['pieces'][$i]['contentsFace'] = $piece->contentsFace();
        }

        return $written;
    }

    /** @return array<string, mixed> everything at once */
    public function whole(Design $design): array
    {
        $written = $this->of($design);
        foreach ($this->folding($design) as $i => $folding) {
            $written['pieces'][$i]['folding'] = $folding;
        }

        return $written + $this->steps($design);
    }

    /** @return array<string, mixed> its steps in words, and the order in which they are done tool by tool */
    public function steps(Design $design): array
    {
        return ['steps' => StepsView::of($this->words, $design), 'byTool' => ByTool::order($design)];
    }

    /** @return list<array<string, mixed>> how each piece is folded, moment by moment */
    public function folding(Design $design): array
    {
        return array_map(fn (Piece $piece): array => DesignWriter::folding($piece, $design), $design->pieces);
    }
}
