<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Tool\Tools;

/**
 * Specs out of documents of an earlier version, with what was usual then said in full: a design keeps the defaults it was sized with.
 *
 * Version 1: no room in depth; 1/4 × 1/8 in round what is square; a lid's play reckoned between the walls (0.8 doubled, 2.5 single), its
 * hems scored like its walls; a light of 38 mm between faces whose paper was not taken off.
 *
 * Version 2: scores read from each edge; a wallet's gusset with loft, room and paper besides what one takes of it, its pockets 2 in high; the
 * sides of a wrap both alike, overlapping by 2 in.
 */
final class EarlierSpec
{
    private const DEEP = ['tray-and-lid', 'deep-envelope', 'slope-box', 'note-wallet'];

    private const FLAT = ['diagonal-envelope', 'straight-envelope', 'corner-pouch'];

    /**
     * @param array<string, mixed> $spec as a document of that version has it
     * @return array<string, mixed>
     */
    public static function brought(array $spec, int $version): array
    {
        $spec = $version > 1 ? $spec : self::fromFirst($spec);

        return $version > 2 ? $spec : self::fromSecond($spec);
    }

    /**
     * @param array<string, mixed> $spec
     * @return array<string, mixed>
     */
    private static function fromSecond(array $spec): array
    {
        try {
            $request = Sizing::ofEverything()->request($spec);
        } catch (InvalidDocument) {
            return $spec;
        }
        [$options, $item] = [self::part($spec, 'options'), $request->item];
        if ($request->make === 'note-wallet') {
            $perPocket = $request->options->count('perPocket');
            $stack = (new Item($item->width, $item->height, $item->thickness, $perPocket))->stack();
            $room = self::length(self::part($spec, 'clearance')['depth'] ?? null) ?? ($request->system === System::Imperial ? Length::inches(1, 16) : Length::mm(3, 2));
            $options += ['gusset' => self::text($stack->plus($room, $request->paper->caliper->times(3))), 'pocketHeight' => '2 in'];
        }
        if ($request->make === 'straight-envelope' && $request->options->choice('sides') === 'wrap') {
            $front = $item->width->plus($request->clearance->width, $item->stack(), $request->clearance->depth)->plus($request->paper->caliper);
            $options += ['sideFlap' => self::text($front->timesNearest(1, 2)->plus(Length::inches(1)))];
        }

        return array_filter(['tools' => self::part($spec, 'tools') + ['readings' => Tools::EACH_EDGE], 'options' => $options]) + $spec;
    }

    /**
     * @param array<string, mixed> $spec
     * @return array<string, mixed>
     */
    private static function fromFirst(array $spec): array
    {
        $make = $spec['make'] ?? null;
        [$holds, $clearance, $options] = [self::part($spec, 'holds'), self::part($spec, 'clearance'), self::part($spec, 'options')];
        $caliper = self::caliper(self::part($spec, 'paper'));
        if (in_array($make, self::DEEP, true)) {
            $clearance += ['depth' => '0 mm'];
        }
        if (in_array($make, self::FLAT, true) && ($holds['width'] ?? null) === ($holds['height'] ?? null)) {
            $clearance += ['width' => '1/4 in', 'height' => '1/8 in'];
        }
        if ($make === 'tray-and-lid') {
            $play = self::length($options['lidPlay'] ?? null) ?? (($options['lidWall'] ?? null) === 'doubled' ? Length::mm(8, 10) : Length::mm(25, 10));
            $options = ['lidPlay' => self::text(Length::max(Length::zero(), $play->minus($caliper->times(2))))] + $options + ['hem' => 'like-the-wall'];
        }
        if ($make === 'lantern-card') {
            $light = self::length($options['light'] ?? null) ?? Length::mm(38);
            $options = ['light' => self::text(Length::max(Length::mm(1), $light->minus($caliper)))] + $options;
        }

        return array_filter(['clearance' => $clearance, 'options' => $options]) + $spec;
    }

    /**
     * @param array<string, mixed> $spec
     * @return array<mixed>
     */
    private static function part(array $spec, string $name): array
    {
        return is_array($spec[$name] ?? null) ? $spec[$name] : [];
    }

    /** @param array<mixed> $paper */
    private static function caliper(array $paper): Length
    {
        $grammage = $paper['grammage'] ?? null;

        return self::length($paper['caliper'] ?? null) ?? (is_int($grammage) ? Paper::caliperOf($grammage) : Paper::usualCaliper());
    }

    /** Null where it is not said, or is no length: that is said when it is sized. */
    private static function length(mixed $text): ?Length
    {
        try {
            return is_string($text) ? LengthParser::parse($text) : null;
        } catch (InvalidLength) {
            return null;
        }
    }

    private static function text(Length $length): string
    {
        return LengthFormatter::in(Unit::Millimetre)->measured($length, 4);
    }
}
