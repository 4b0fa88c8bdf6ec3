<?php

declare(strict_types=1);

/*
 * Small faults for the core's rules: the file under core/src, what stands there, what is put in its place, and the tests that must
 * find it (golden files left out: they prove no figure right). `make planted` plants one after another in a copy.
 */

return [
    'a doubled tray takes one caliper' => ['Make/TrayAndLid/Wall.php', 'return $this->isDoubled ? 3 : 1;', 'return 1;', 'RoomTest'],
    'a doubled lid is sized like a single one' => ['Make/TrayAndLid/Wall.php', 'return $this->isDoubled ? 4 : 2;', 'return 2;', 'RoomTest'],
    'a lid\'s play is the greater of both ways' => ['Make/TrayAndLid/TrayAndLid.php', '$this->lidGoesOn(Length::min(', '$this->lidGoesOn(Length::max(', 'RoomTest'],
    'an odd count in a wallet is halved down' => ['Make/NoteWallet/NoteWallet.php', 'intdiv($item->count + 1, 2)', 'max(1, intdiv($item->count, 2))', 'RoomTest'],
    'slips of an upright design are not changed over' => ['Make/Shared/TurnedFits.php', 'return $this->isUpright ? [$this->layout->highSlip, $this->layout->wideSlip]', 'return ! $this->isUpright ? [$this->layout->highSlip, $this->layout->wideSlip]', 'TurnedTest'],
    'a punched slip of the wrong end' => ['Sheet/PunchedSquare.php', 'wideSlip: Length::nearestTo($this->isFromShortEnd ? 2 * $miss : $miss)', 'wideSlip: Length::nearestTo($this->isFromShortEnd ? $miss : 2 * $miss)', 'TurnedTest'],
    'a scored slip without the corner' => ['Sheet/ScoredSquare.php', '(2 + M_SQRT2) * Fit::handMiss()', '2 * Fit::handMiss()', 'TurnedTest'],
    'a remedy that breaks another fit is offered' => ['Sizing.php', ' && array_diff($after, $before) === []', '', 'DeviationTest'],
    'rescues are looked for upwards only' => ['Deviation/Deviations.php', 'foreach ([1, -1] as $way)', 'foreach ([1] as $way)', 'DeviationTest'],
    'a depth takes what its clearance should keep free' => ['Make/Shared/BoxRoom.php', '$inside->depth->minus($request->clearance->depth)', '$inside->depth', 'RoomTest'],
    'a stack without its loft' => ['Request/Item.php', 'timesNearest(115, 100)', 'timesNearest(100, 100)', 'RoomTest'],
    'a punched length rounded to the nearest tick' => ['Sheet/PunchedSquare.php', '$short = Length::atLeast(', '$short = Length::nearestTo(', 'TurnedTest'],
    'the long end rounded to the nearest tick' => ['Sheet/PunchedSquare.php', '$long = Length::atLeast(', '$long = Length::nearestTo(', 'TurnedTest'],
    'a gusset rounded to the nearest tick' => ['Sheet/PunchedSquare.php', '$exactGap = Length::atLeast(', '$exactGap = Length::nearestTo(', 'TurnedTest'],
    'half a scored face rounded down' => ['Sheet/ScoredSquare.php', '$halfWide = $tools->score->up(', '$halfWide = $tools->score->down(', 'TurnedTest|EveryMakeTest'],
    'the notch trial takes the short side for the long one' => ['Tool/Calibration.php', '$one = $from(Length::max($mark, $other), $long);', '$one = $from(Length::min($mark, $other), $long);', 'TurnedTest'],
    'the notch trial believes one side only' => ['Tool/Calibration.php', 'return new self($one->plus($two)->timesNearest(1, 2)', 'return new self($one', 'TurnedTest'],
    'one piece\'s setting moves another\'s' => ['Setting/Settings.php', 'return new self(["$piece/$name" => $this->of($piece, $name)->movedTo($at)] + $this->all);', '$moved = []; foreach ($this->all as $key => $one) { str_ends_with($key, "/$name") && $moved[$key] = $one->movedTo($at); } return new self($moved + $this->all);', 'DeviationTest'],
    'a missed square chooses its groove anew' => ['Sheet/ScoredSquare.php', '$square = self::square($settings, $this->piece, $this->middle, $this->isDeep);', '$square = self::square($settings, $this->piece, $settings->of($this->piece, TurnedLayout::SHEET)->at->timesNearest(70711, 100000), $this->isDeep);', 'DeviationTest'],
    'an outline mirrored' => ['Extra/HeldOutline.php', '$right->times($p->x - $wide / 2)', '$right->times($wide / 2 - $p->x)', 'WorkTest'],
    'scores with the cutting pen' => ['Exchange/HpglFile.php', '$path->layer->isCut() ? self::CUTTING : self::SCORING', '$path->layer->isCut() ? self::SCORING : self::CUTTING', 'WorkTest'],
    'a sheet turned the other way for the machine' => ['Exchange/HpglFile.php', 'new Point($piece->sheet->height->toMillimetres() - $p->y, $p->x)', 'new Point($p->y, $piece->sheet->width->toMillimetres() - $p->x)', 'WorkTest'],
    'marks read from the other end' => ['Sheet/PunchedSquare.php', "\$i % 2 === (\$this->isFromShortEnd ? 0 : 1) ? 'left' : 'right'", "\$i % 2 === (\$this->isFromShortEnd ? 0 : 1) ? 'right' : 'left'", 'TurnedTest'],
    'a corner turned a quarter for three' => ['Make/Shared/TurnedWork.php', '1 => 0, 2 => 2, 3 => 3, 4 => 5', '1 => 0, 2 => 2, 3 => 1, 4 => 5', 'TurnedTest'],
    'the pouch\'s top is scored' => ['Make/CornerPouch/CornerPouch.php', '[MeasureKind::Score, MeasureKind::Trim]', '[MeasureKind::Trim]', 'TurnedTest'],
    'a pillow takes half of its thickness squared' => ['Make/CornerPouch/CornerPouch.php', '2 / 3 * $stack', '1 / 2 * $stack', 'RoomTest'],
    'a letter fold\'s inner panel as wide as the others' => ['Make/FoldedCard/FoldedCard.php', "Strip::atMost('inner', \$inner)", "Strip::atMost('inner', \$whole)", 'WorkTest'],
    'a letter fold\'s layers changed over' => ['Make/FoldedCard/FoldedCard.php', "default => [self::BACK, 'front', 'flap'],", "default => [self::BACK, 'flap', 'front'],", 'WorkTest'],
    'a deep envelope takes no caliper' => ['Make/DeepEnvelope/DeepEnvelope.php', '$width = BoxRoom::needed($request, Dimension::Width, 1);', '$width = BoxRoom::needed($request, Dimension::Width, 0);', 'RoomTest|EveryMakeTest'],
    'a deep envelope\'s inside with the paper on' => ['Make/DeepEnvelope/DeepEnvelope.php', '$least->minus($t)', '$least', 'RoomTest'],
    'a seam half as wide' => ['Make/Shared/TurnedFits.php', '$square->inset() * 2', '$square->inset()', 'TurnedTest'],
    'mats rounded up' => ['Extra/Mats.php', 'new Rectangle($cut->down(Length::nearestTo($right - $left))', 'new Rectangle($cut->up(Length::nearestTo($right - $left))', 'WorkTest'],
    'a band without its overlap' => ['Extra/BellyBand.php', '->plus(Length::inches(3, 4))', '', 'RoomTest'],
    'divider tabs one behind the other' => ['Make/SlopeBox/Dividers.php', '($w - $tab) * $place / ($count - 1)', '($w - $tab) * 0 / ($count - 1)', 'WorkTest'],
    'a closed envelope a layer short' => ['Make/StraightEnvelope/StraightEnvelope.php', 'private const LAYERS = 4;', 'private const LAYERS = 3;', 'RoomTest'],
    'a closed lantern a strip short' => ['Make/LanternCard/LanternCard.php', '->caliper->times(6)', '->caliper->times(3)', 'RoomTest'],
    'by tool, readings in the order they come' => ['Work/ByTool.php', "\$settings[\$at->tool->value.' '.\$at->at->ticks][] = \$i;", '$settings[$i][] = $i;', 'WorkTest'],
    'by tool, a score before the cuts' => ['Work/ByTool.php', 'return [...$cuts, ...array_merge([], ...array_values($settings)), ...$rest];', 'return [...array_merge([], ...array_values($settings)), ...$cuts, ...$rest];', 'WorkTest'],
    'a tab on the outside of its wall' => ['Make/TrayAndLid/Wall.php', 'Join::of(JoinEnd::outside($piece, "$end-$side-tab")', 'Join::of(JoinEnd::inside($piece, "$end-$side-tab")', 'WorkTest'],
    'an organizer\'s front glued nowhere' => ['Make/SlopeBox/SlopeBox.php', 'return [...self::seams($figures->request), ...self::tabJoins($figures->request)];', 'return self::tabJoins($figures->request);', 'WorkTest'],
    'a box that is filled but not the smallest' => ['Crease/FoldedBox.php', 'return count($reached) === $all ?', 'return true ?', 'WorkTest'],
    'a given setting is rounded again' => ['Setting/Planning.php', '$at = $this->given($piece, $name) ?? $rounded;', '$at = $rounded;', 'DeviationTest|GridAxisTest'],
    'a sheet missed moves its main strip\'s neighbours' => ['Sheet/GridAxis.php', '$this->widths = [...$nearWidths, $cut->at->minus($outer)', '$this->widths = [...$nearWidths, $cut->exact->minus($outer)', 'GridAxisTest|DeviationTest'],
    'what contains is rounded down' => ['Sheet/AxisPlan.php', ': $score->up($need);', ': $score->down($need);', 'GridAxisTest'],
    'creases are loaded when a plan is settled' => ['Figure/Plan.php', 'public function with(string $piece, string $name, Length $at): self'."\n    {", 'public function with(string $piece, string $name, Length $at): self'."\n    {\n        new \\Gimbo\\Core\\Crease\\Face([]);", 'CoreAloneTest'],
];
