<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Shelf\Draft;
use App\Words\Sentence;
use App\Words\StepWords;
use App\Words\Words;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;

/** The whole recipe as plain text in both systems, to paste under a picture. */
final readonly class Recipe
{
    public function __construct(private OtherSystem $other, private Words $words)
    {
    }

    public function text(Draft $draft): string
    {
        $own = $draft->sized;
        [$other, $mended] = $this->other->of($draft);
        $both = $own->request->system === System::Imperial ? [$own, $other] : [$other, $own];
        $head = array_filter([
            $draft->document->name,
            $draft->document->by === '' ? '' : $this->words->sentence('handout.by', ['by' => $draft->document->by]),
            $this->words->sentence('handout.edition', ['edition' => (string) $draft->design->revision]),
            $mended ?? '',
        ]);

        return implode("\n", $head)."\n\n".implode("\n\n", array_map($this->inOne(...), $both))."\n";
    }

    private function inOne(Design $design): string
    {
        $words = new StepWords($this->words, $design);
        $format = LengthFormatter::for($design->request->system);
        $inside = array_map($format->rounded(...), array_filter([$design->inside->width, $design->inside->height, $design->inside->depth], fn ($side) => $side->isPositive()));
        $lines = [$this->words->sentence("print.{$design->request->system->value}"), $this->words->sentence('print.inside').': '.implode(' × ', $inside)];
        $piece = null;
        foreach ($design->steps() as $i => $step) {
            if (count($design->pieces) > 1 && $step->piece !== $piece) {
                array_push($lines, '', $words->pieceName($step->piece));
                $piece = $step->piece;
            }
            $turn = $words->quarters($i);
            $said = implode(' ', array_map(fn (Sentence $sentence) => $sentence->plain(), [...$words->of($i), ...$words->advice($i)]));
            $lines[] = $this->words->sentence('recipe.step', ['number' => (string) ($i + 1), 'says' => ($turn > 0 ? $this->words->sentence("turn.$turn").' ' : '').$said]);
        }

        return implode("\n", $lines);
    }
}
