<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\NamedSize;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Spec\SizingRequest;

/** Whether the pieces come out of the paper that was named, and which paper they would come out of. */
final class FromPaper
{
    public const ID = 'sheet-from-paper';

    private const MOST_SHEETS = 2;

    /**
     * One fit for the piece that goes worst into its paper; none where no paper's sheet is named.
     *
     * @param non-empty-list<PieceFigures> $pieces
     * @param list<AddedPiece> $added those of them that go with the make
     * @return list<Fit>
     */
    public static function fits(array $pieces, SizingRequest $request, array $added = []): array
    {
        $papers = [];
        foreach ($added as $piece) {
            $papers[$piece->id()] = $piece->paper;
        }
        $worst = null;
        foreach ($pieces as $piece) {
            $paper = ($papers[$piece->id] ?? $request->paperOf($piece->id))->sheet;
            if ($paper === null) {
                continue;
            }
            [$need, $have] = self::tighter($piece->sheet, $paper);
            $fit = new Fit(self::ID, $need, $have, $need, Length::zero(), $piece->sheetMadeOf, piece: $piece->id);
            if ($worst === null || $fit->slack()->isLessThan($worst->slack())) {
                $worst = $fit;
            }
        }

        return $worst === null ? [] : [$worst];
    }

    /**
     * The smallest sheets by name that take every piece.
     *
     * @param list<PieceFigures> $pieces
     * @return list<Remedy>
     */
    public static function remedies(array $pieces): array
    {
        $takesAll = fn (NamedSize $size): bool => array_filter($pieces, fn (PieceFigures $piece) => ! $piece->sheet->comesOutOf($size->size)) === [];
        $fitting = array_filter(NamedSize::all(), fn (NamedSize $size) => $size->kind === 'sheet' && $takesAll($size));
        usort($fitting, fn (NamedSize $a, NamedSize $b) => $a->size->width->plus($a->size->height)->compareTo($b->size->width->plus($b->size->height)));

        return array_map(fn (NamedSize $size) => new Remedy('larger-sheet', [
            '/paper/sheet/width' => self::text($size, $size->size->width),
            '/paper/sheet/height' => self::text($size, $size->size->height),
        ], ['sheet' => $size->id]), array_slice($fitting, 0, self::MOST_SHEETS));
    }

    /**
     * The side on which the piece lies tighter, laid the better way round.
     *
     * @return array{Length, Length} what the piece needs there and what the paper has
     */
    private static function tighter(Rectangle $piece, Rectangle $paper): array
    {
        $side = fn (Rectangle $some): array => $paper->width->minus($some->width)->isLessThan($paper->height->minus($some->height))
            ? [$some->width, $paper->width]
            : [$some->height, $paper->height];
        [$straight, $turned] = [$side($piece), $side($piece->turned())];

        return $straight[1]->minus($straight[0])->isLessThan($turned[1]->minus($turned[0])) ? $turned : $straight;
    }

    /** A sheet named in millimetres is bought in millimetres, whatever the maker measures in. */
    private static function text(NamedSize $size, Length $length): string
    {
        return LengthFormatter::for($size->isMetric() ? System::Metric : System::Imperial)->text($length);
    }
}
