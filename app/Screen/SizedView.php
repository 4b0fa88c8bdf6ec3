<?php

declare(strict_types=1);

namespace App\Screen;

use App\Words\PieceName;
use App\Words\Words;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Telling\ByTool;

/** What the core makes of a request, as the browser draws it: its steps in words. */
final readonly class SizedView
{
    public function __construct(private Words $words)
    {
    }

    /** @return array<string, mixed> */
    public function of(Design $design): array
    {
        $written = DesignWriter::write($design, hasSteps: false);
        foreach ($design->pieces as $i => $piece) {
            $written['pieces'][$i]['name'] = PieceName::of($this->words, $design, $piece->id);
        }

        return $written + ['steps' => StepsView::of($this->words, $design), 'byTool' => ByTool::order($design)];
    }
}
