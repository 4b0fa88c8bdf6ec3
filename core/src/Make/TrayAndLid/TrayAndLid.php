<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\TrayAndLid;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\BoxRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Place;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/**
 * A tray and the lid that goes over it, each with single or doubled walls.
 *
 * The lid is sized from the tray as it will really be. Formulas: docs/formulas.md, "Tray and lid".
 */
final readonly class TrayAndLid implements Make
{
    private const TRAY = 'tray';

    private const LID = 'lid';

    public function id(): string
    {
        return 'tray-and-lid';
    }

    public function body(): array
    {
        return [self::TRAY];
    }

    public function holds(): array
    {
        return [HeldKind::ThickCard, HeldKind::Set, HeldKind::Packet];
    }

    public function options(): array
    {
        return [
            Row::length('depth')->lessened(7),
            Row::choice('trayWall', [Wall::SINGLE, Wall::DOUBLED]),
            Row::choice('lidWall', [Wall::SINGLE, Wall::DOUBLED]),
            Row::length('lidDepth')->lessened(6),
            Row::lengthOrZero('lidPlay'),
            Row::choice('hem', [Wall::NEARER, Wall::ALIKE])->onlyWith(['trayWall', 'lidWall'], Wall::DOUBLED),
        ];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        $options = $request->options;
        $depth = $options->length('depth') ?? $request->tools->score->up(BoxRoom::depth($request)->figure());

        return [
            'depth' => $depth,
            'lidDepth' => $options->length('lidDepth') ?? $request->tools->score->up($depth)->timesNearest(1, 2),
            'lidPlay' => $options->length('lidPlay') ?? Wall::of($options->choice('lidWall'))->play()->best,
        ];
    }

    /** Bare card in a tray 2 mm; cards with envelopes 1/4 × 3/8 in (common practice, no source). */
    public function usualClearance(Item $item, System $system): Clearance
    {
        return $item->count === 1
            ? new Clearance(Length::mm(2), Length::mm(2), BoxRoom::usualDepth($system))
            : new Clearance(Length::inches(1, 4), Length::inches(3, 8), BoxRoom::usualDepth($system));
    }

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $chosen = $this->chosenLengths($request);
        [$trayWall, $lidWall] = self::walls($request);
        $depth = $request->options->length('depth') === null
            ? BoxRoom::depth($request)
            : MakeUp::of(new Term(TermKind::Depth, $chosen['depth']));
        $tray = $trayWall->plan(
            $planning, self::TRAY, $request,
            BoxRoom::needed($request, Dimension::Width, $trayWall->calipersInside(Dimension::Width)),
            BoxRoom::needed($request, Dimension::Height, $trayWall->calipersInside(Dimension::Height)), $depth,
        );
        $real = $tray->settle($planning->settings());
        $over = fn (GridAxis $axis): MakeUp => MakeUp::of(
            new Term(TermKind::Tray, $axis->main()),
            new Term(TermKind::Paper, self::over($lidWall, $request)),
            new Term(TermKind::Mats, self::mats($request, $axis->axis)),
            new Term(TermKind::Play, $chosen['lidPlay']),
        );
        $lid = $lidWall->plan($planning, self::LID, $request, $over($real->columns), $over($real->rows), MakeUp::of(new Term(TermKind::Depth, $chosen['lidDepth'])), $lidWall->play()->bestAt($chosen['lidPlay']));

        return new Plan($request, $planning->settings(), [self::TRAY => $tray, self::LID => $lid]);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        [$trayWall, $lidWall] = self::walls($request);
        [$tray, $lid] = [$plan->grid(self::TRAY), $plan->grid(self::LID)];
        $pieces = [PieceFigures::ofGrid(self::TRAY, $tray), PieceFigures::ofGrid(self::LID, $lid)];
        [$t, $over] = [$request->caliperOf(self::TRAY), $request->caliperOf(self::LID)];
        [$wallHeight, $lidHeight] = [self::wallHeight($tray), self::wallHeight($lid)];
        $inside = new Extents($tray->columns->main()->minus($t->times($trayWall->calipersInside(Dimension::Width))), $tray->rows->main()->minus($t->times($trayWall->calipersInside(Dimension::Height))), $wallHeight->minus($t->timesNearest(1, 2)));
        $closed = new Extents($lid->columns->main()->plus($over), $lid->rows->main()->plus($over), self::closedHeight($wallHeight, $lidHeight, $t, $over));

        return new Figures($request, $plan->settings, $pieces, $inside, $closed, [
            ...BoxRoom::fits($request, $inside, Fit::handMiss()->times(3)),
            self::lidGoesOn($lid->columns->main()->minus($tray->columns->main()), $lid->rows->main()->minus($tray->rows->main()), $lidWall, $request),
            Fit::plain('lid-not-taller-than-tray', $lidHeight, $wallHeight, $lidHeight, Length::zero()),
            ...array_filter([$trayWall->hemLiesFlat(self::TRAY, $tray, $request), $lidWall->hemLiesFlat(self::LID, $lid, $request)]),
            ...FromPaper::fits($pieces, $request),
        ], BoxRoom::takes($request, $inside));
    }

    /** The lid goes on last, upside down over the tray. */
    public function shape(Figures $figures, string $piece): Shape
    {
        $grid = $figures->grid($piece);
        $wall = self::walls($figures->request)[$piece === self::TRAY ? 0 : 1];
        $pattern = $wall->pattern($piece, $grid, $figures->request);
        if ($piece === self::LID) {
            $up = Length::max(self::wallHeight($figures->grid(self::TRAY)), self::wallHeight($grid))->plus($figures->request->caliperOf(self::LID));

            return new Shape($pattern, places: [Place::turnedOver($grid->sheet(), $figures->piece(self::TRAY)->sheet, $up->toMillimetres())]);
        }
        $item = $figures->request->item;
        $contents = $grid->centredIn($grid->columns->main, $grid->rows->main, $item->width->toMillimetres(), $item->height->toMillimetres());

        return new Shape($pattern, $contents, places: [Place::asItLies()]);
    }

    public function joins(Figures $figures): array
    {
        [$trayWall, $lidWall] = self::walls($figures->request);

        return [...$trayWall->joins(self::TRAY), ...$lidWall->joins(self::LID)];
    }

    public function stock(): PaperKind
    {
        return PaperKind::Box;
    }

    public function faces(): Faces
    {
        return new Faces(isHeldByBand: true, seenInside: ['tray/base'], covered: ['tray']);
    }

    public function loose(Figures $figures): array
    {
        return [self::LID => 'goes-over'];
    }

    public function steps(Figures $figures): array
    {
        $request = $figures->request;
        [$trayWall, $lidWall] = self::walls($request);
        [$tray, $lid] = [GridWork::on($figures->piece(self::TRAY)), GridWork::on($figures->piece(self::LID), phase: 1)];

        return [
            ...$tray->cutAndScore(),
            ...$trayWall->cutAndFold($tray, $request),
            $trayWall->glueCorners($tray, 'square-it-round-the-contents'),
            ...$trayWall->glueHems($tray),
            // The finished tray is measured, and the lid follows it.
            ...$lid->cutAndScore(advice: ['measure-the-finished-tray']),
            ...$lidWall->cutAndFold($lid, $request, ['decorate-flat']),
            ...$lidWall->tryAndGlue($lid, self::play($figures, $lidWall), $request->caliperOf(self::LID)),
            new WorkStep('tray/fill', Deed::Fill, self::TRAY, phase: 1),
            $lid->step('close', Deed::Close, null),
        ];
    }

    /** What the lid has to spare where it has least. */
    private static function play(Figures $figures, Wall $wall): Length
    {
        [$tray, $lid] = [$figures->grid(self::TRAY), $figures->grid(self::LID)];

        return self::lidGoesOn($lid->columns->main()->minus($tray->columns->main()), $lid->rows->main()->minus($tray->rows->main()), $wall, $figures->request)->have;
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($figures->pieces),
            'lid-not-taller-than-tray' => [new Remedy('lid-half-as-deep', ['/options/lidDepth' => null])],
            'hem-lies-flat' => [
                new Remedy('hems-nearer', ['/options/hem' => Wall::NEARER]),
                new Remedy('single-walls', ['/options/trayWall' => Wall::SINGLE, '/options/lidWall' => Wall::SINGLE]),
            ],
            'card-fits-depth' => [new Remedy('depth-from-contents', ['/options/depth' => null])],
            default => [],
        };
    }

    /** @return array{Wall, Wall} of the tray and of the lid */
    private static function walls(SizingRequest $request): array
    {
        return [Wall::of($request->options->choice('trayWall')), Wall::of($request->options->choice('lidWall'))];
    }

    /** The lid's base lies on the tray's walls: half a caliper of the floor below, the lid's own above; or the lid's walls reach to the table. */
    private static function closedHeight(Length $tray, Length $lid, Length $t, Length $over): Length
    {
        return Length::max($tray->plus($over, $t->timesNearest(1, 2)), $lid->plus($over->timesNearest(1, 2)));
    }

    /** The paper between the scores of the tray and of the lid: half of the tray's on both sides, the rest the lid's own. */
    private static function over(Wall $wall, SizingRequest $request): Length
    {
        return $request->caliperOf(self::TRAY)->plus($request->caliperOf(self::LID)->times($wall->calipersOver() - 1));
    }

    private static function wallHeight(GridSheet $grid): Length
    {
        return $grid->columns->width($grid->columns->main - 1);
    }

    /** What lies on the tray's two walls that face one way takes from the lid's play. */
    private static function mats(SizingRequest $request, Axis $axis): Length
    {
        [$one, $other] = $axis === Axis::Width ? ['left', 'right'] : ['bottom', 'top'];

        return $request->layersOn(self::TRAY."/$one-wall")->plus($request->layersOn(self::TRAY."/$other-wall"));
    }

    /**
     * Reckoned where it is tightest; but a lid that is far too large one way falls off whatever it is the other way: by more than the trimmer's
     * step and the paper of its tabs, that lie along one of the directions only.
     */
    private static function lidGoesOn(Length $wider, Length $higher, Wall $wall, SizingRequest $request): Fit
    {
        $band = $wall->play();
        $t = $request->caliperOf(self::LID);
        $plays = array_map(fn (Length $larger, Axis $axis): Length => $larger->minus(self::over($wall, $request))->minus(self::mats($request, $axis)), [$wider, $higher], [Axis::Width, Axis::Height]);
        [$tightest, $loosest] = [Length::min(...$plays), Length::max(...$plays)];
        $isFarTooLarge = $loosest->minus($t->times(2))->minus($request->tools->cut->size)->isMoreThan($band->most());
        $play = $isFarTooLarge && $band->contains($tightest) ? $loosest : $tightest;

        return new Fit('lid-goes-on', $band->least, $play, $band->least, Fit::handMiss()->times(2), MakeUp::of(new Term(TermKind::Play, $band->least)), band: $band);
    }
}
