<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Make;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
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
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\With;

/** A stand for boat tickets: a back with a base and one side, and a lip that is glued along the base's front. */
final readonly class TicketStand implements Make
{
    public function id(): string
    {
        return 'ticket-stand';
    }

    public function body(): array
    {
        return ['stand'];
    }

    public function holds(): array
    {
        return [HeldKind::Set];
    }

    public function options(): array
    {
        return [];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        return [];
    }

    public function usualClearance(Item $item, System $system): Clearance
    {
        return new Clearance(Length::mm(2), Length::zero(), Length::zero());
    }

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $strip = fn (string $setting, int $millimetres): array => [Strip::atLeast($setting, MakeUp::of(new Term(TermKind::Flap, Length::mm($millimetres))))];
        $stand = new GridPlan(
            AxisPlan::of($planning, 'stand', Axis::Width, $strip('sides', 15), BoxRoom::needed($request, Dimension::Width, 1), []),
            AxisPlan::of($planning, 'stand', Axis::Height, $strip('base', 25), BoxRoom::needed($request, Dimension::Height, 0), []),
        );
        $wide = MakeUp::of(new Term(TermKind::Face, $stand->settle($planning->settings())->columns->main()));
        $lip = new GridPlan(
            AxisPlan::of($planning, 'lip', Axis::Width, [], $wide, []),
            AxisPlan::of($planning, 'lip', Axis::Height, $strip('foot', 10), MakeUp::of(new Term(TermKind::Flap, Length::mm(12))), []),
        );

        return new Plan($request, $planning->settings(), ['stand' => $stand, 'lip' => $lip]);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $stand = $plan->grid('stand');
        $pieces = [PieceFigures::ofGrid('stand', $stand), PieceFigures::ofGrid('lip', $plan->grid('lip'))];
        $room = new Extents($stand->columns->main()->minus($request->paper->caliper), $stand->rows->main(), $stand->rows->width(0));

        return new Figures($request, $plan->settings, $pieces, $room, $room, [
            ...BoxRoom::fits($request, $room, Fit::handMiss()), ...FromPaper::fits($pieces, $request),
        ]);
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $grid = $figures->grid($piece);
        if ($piece === 'lip') {
            return new Shape((new PatternBuilder)->face('lip', $grid->cell(0, 1))
                ->face('foot', $grid->cell(0, 0), FaceRole::Tab)->hinge('lip', 'foot', 90, 'y1')->build());
        }

        return new Shape((new PatternBuilder)
            ->face('back', $grid->cell(1, 1), FaceRole::Wall)
            ->face('base', $grid->cell(1, 0))->standsOn('base')->hinge('back', 'base', 90, 'y1')
            ->face('side', $grid->cell(0, 1), FaceRole::Wall)->hinge('back', 'side', 90, 'x1')
            ->face('tab', $grid->cell(0, 0), FaceRole::Tab)->hinge('base', 'tab', 90, 'x1')->slit('tab', 'side')
            ->joined('stand', $this->joins($figures))->build());
    }

    public function joins(Figures $figures): array
    {
        return [
            Join::of(JoinEnd::outside('stand', 'tab'), JoinEnd::inside('stand', 'side')),
            Join::of(JoinEnd::outside('lip', 'foot'), JoinEnd::inside('stand', 'base')),
        ];
    }

    public function stock(): PaperKind
    {
        return PaperKind::Box;
    }

    public function faces(): Faces
    {
        return new Faces(isHeldByBand: false);
    }

    public function steps(Figures $figures): array
    {
        [$tab, $foot] = $this->joins($figures);
        [$stand, $lip] = [GridWork::on($figures->piece('stand')), GridWork::on($figures->piece('lip'))];
        $bench = $stand->bench;

        return [
            ...$stand->cutAndScore(),
            $stand->step('tab', Deed::Slit, With::Scissors, [$bench->draw(LineKind::Cut, 'cut', $bench->line('y1'), $bench->at('left', 'y1'), $bench->at('x1', 'y1'))], about: ['tab']),
            $stand->step('fold', Deed::Fold, With::BoneFolder, [
                $stand->name('back', FaceRole::Wall, 1, 1), $stand->name('base', FaceRole::Panel, 1, 0), $stand->name('side', FaceRole::Wall, 0, 1), $stand->name('tab', FaceRole::Tab, 0, 0),
                $stand->foldOnY('base', 'back', 90, 'y1', 1), $stand->foldOnX('side', 'back', 90, 'x1', 1), $stand->foldOnX('tab', 'base', 90, 'x1', 0),
            ]),
            $stand->step('glue', Deed::Glue, With::WetGlue, [new JoinOp($tab)]),
            ...$lip->cutAndScore(),
            $lip->step('fold', Deed::Fold, With::BoneFolder, [$lip->name('lip', FaceRole::Panel, 0, 1), $lip->name('foot', FaceRole::Tab, 0, 0), $lip->foldOnY('foot', 'lip', 90, 'y1', 0)]),
            $lip->step('glue', Deed::Glue, With::Tape, [new JoinOp($foot, meet: [
                [$lip->bench->at('left', 'y1'), $bench->at('x1', 'bottom')], [$lip->bench->at('right', 'y1'), $bench->at('right', 'bottom')],
            ])]),
            $stand->step('fill', Deed::Fill, null),
        ];
    }

    public function loose(Figures $figures): array
    {
        return [];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return FromPaper::remedies($figures->pieces);
    }
}
