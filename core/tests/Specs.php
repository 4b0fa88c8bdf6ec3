<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests;

use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Kind;

/** Specs for tests, short to write. */
final class Specs
{
    /**
     * One thin item in paper of no thickness, so that only the geometry counts.
     *
     * @param array<string, mixed> $more
     * @return array<string, mixed>
     */
    public static function bare(string $width, string $height, string $clearance, array $more = []): array
    {
        return $more + [
            'make' => 'diagonal-envelope',
            'holds' => ['width' => $width, 'height' => $height, 'thickness' => '0.0001 mm'],
            'clearance' => ['width' => $clearance, 'height' => $clearance],
            'paper' => ['caliper' => '0 mm'],
        ];
    }

    /**
     * A random request that a maker might make, and some that none would. Lengths of options are left to the make
     * three times in four, since random ones seldom go together.
     *
     * @return array<string, mixed>
     */
    public static function random(string $make = 'diagonal-envelope'): array
    {
        $isImperial = mt_rand(0, 1) === 1;
        $length = fn (int $least, int $most): string => $isImperial
            ? mt_rand($least * 16, $most * 16).'/16 in'
            : mt_rand($least * 254, $most * 254) / 10 .' mm';
        $spec = [
            'make' => $make,
            'holds' => ['width' => $length(1, 14), 'height' => $length(1, 14), 'thickness' => mt_rand(1, 120) / 10 .' mm', 'count' => mt_rand(0, 4) === 0 ? mt_rand(2, 12) : 1],
            'paper' => ['caliper' => mt_rand(0, 60) / 100 .' mm'],
            'system' => $isImperial ? 'imperial' : 'metric',
        ];
        if (mt_rand(0, 1) === 0) {
            $spec['clearance'] = ['width' => $length(0, 1), 'height' => $length(0, 1), 'depth' => mt_rand(0, 30) / 10 .' mm'];
        }
        if (mt_rand(0, 3) === 0) {
            $spec['tools'] = ['cut' => mt_rand(1, 40) / 10 .' mm', 'score' => mt_rand(1, 60) / 10 .' mm', 'punch' => mt_rand(1, 60) / 10 .' mm', 'notch' => mt_rand(40, 160) / 10 .' mm'];
        }
        if (mt_rand(0, 2) === 0) {
            $spec['paper']['sheet'] = ['width' => $length(4, 24), 'height' => $length(4, 24)];
        }

        return $spec + ['options' => self::options($make, $length)];
    }

    /**
     * A request that no maker makes: hairs and sheets of two metres, in every field.
     *
     * @return array<string, mixed>
     */
    public static function absurd(string $make): array
    {
        $lengths = ['0.01 mm', '0.5 mm', '3 mm', '1/7 in', '20 mm', '4 in', '300 mm', '1200 mm', '2000 mm'];
        $length = fn (): string => $lengths[mt_rand(0, count($lengths) - 1)];
        $spec = ['holds' => ['width' => $length(), 'height' => $length(), 'thickness' => $length(), 'count' => mt_rand(0, 3) === 0 ? mt_rand(1, 1000) : mt_rand(1, 3)]] + self::random($make);
        mt_rand(0, 1) === 0 && $spec['tools'] = ['cut' => $length(), 'score' => $length(), 'punch' => $length(), 'notch' => $length(), 'reach' => $length()];
        mt_rand(0, 1) === 0 && $spec['paper'] = ['caliper' => $length(), 'sheet' => ['width' => $length(), 'height' => $length()]];
        mt_rand(0, 1) === 0 && $spec['clearance'] = ['width' => $length(), 'height' => $length(), 'depth' => $length()];
        mt_rand(0, 2) === 0 && $spec['with'] = [['id' => 'm', 'role' => 'mat', 'on' => '*', 'border' => $length()], ['id' => 'l', 'role' => 'liner', 'border' => $length()]];
        $spec['options'] = self::options($make, $length);

        return $spec;
    }

    /**
     * The same with up to six things that go with it, on panels it has.
     *
     * @param array<string, mixed> $spec
     * @return array<string, mixed>
     */
    public static function dressed(array $spec): array
    {
        $panels = [];
        foreach (Sizing::ofEverything()->size($spec)->pieces as $piece) {
            foreach ($piece->pattern()->faces as $face) {
                $face->role->isHidden() || $panels[] = "$piece->id/$face->name";
            }
        }
        $mm = fn (int $least, int $most): string => mt_rand($least * 2, $most * 2) / 2 .' mm';
        $papers = ['cover' => ['caliper' => '0.3 mm'], 'print' => ['caliper' => '0.2 mm', 'direction' => 'up'], 'foam' => ['caliper' => '2 mm']];
        $paper = fn (): string => array_rand($papers);
        $border = fn (): mixed => mt_rand(0, 1) === 0 ? $mm(0, 6) : ['width' => $mm(1, 6), 'height' => $mm(1, 6)];
        $shape = fn (): array => match (mt_rand(0, 4)) {
            0 => ['circle' => $mm(5, 40)], 1 => ['oval' => [$mm(5, 40), $mm(5, 40)]], 2 => ['rect' => [$mm(5, 60), $mm(5, 60)], 'radius' => $mm(1, 4)],
            3 => ['ring' => [[0, 0], [20, 2], [24, 15], [9, 22], [1, 12]]], default => ['rect' => [$mm(5, 60), $mm(5, 60)]],
        };
        $edge = fn (): array => mt_rand(0, 2) === 0 ? ['edge' => ['bottom', 'top', 'both'][mt_rand(0, 2)]] : [];
        $round = fn (): array => mt_rand(0, 2) === 0 ? ['radius' => $mm(2, 8)] : [];
        $with = [];
        for ($n = mt_rand(1, 6); $n > 0; $n--) {
            $panel = $panels[mt_rand(0, count($panels) - 1)];
            $mats = array_column(array_filter($with, fn (array $one) => $one['role'] === 'mat'), 'id');
            $with[] = ['id' => "a$n"] + match (mt_rand(0, 10)) {
                0, 1 => ['role' => 'mat', 'on' => $panel, 'border' => $border(), 'paper' => $paper()] + $edge() + $round(),
                2 => ['role' => 'mat', 'on' => $mats === [] ? '*' : $mats[0], 'border' => $border()] + $round(),
                3 => ['role' => 'strip', 'on' => $panel, 'width' => $mm(4, 20), 'way' => ['across', 'upright'][mt_rand(0, 1)]] + $edge(),
                4, 5 => ['role' => 'window', 'on' => $panel, 'shape' => $shape(), 'backing' => ['paper' => $paper()], 'frame' => ['width' => $mm(3, 6)], 'rim' => ['paper' => 'foam']],
                6 => ['role' => 'liner', 'border' => $mm(2, 8)],
                7 => ['role' => 'closure', 'by' => ['dot', 'string', 'slit', 'catch'][mt_rand(0, 3)]],
                8 => ['role' => 'band', 'paper' => 'print'] + $edge(),
                9 => ['role' => 'emboss', 'on' => $mats === [] ? $panel : $mats[0]] + (mt_rand(0, 1) === 0 ? ['width' => $mm(40, 120), 'height' => $mm(40, 120)] : []),
                default => ['role' => 'label', 'text' => 'Nest', 'count' => mt_rand(1, 3)] + (mt_rand(0, 1) === 0 ? ['on' => $panel] : []) + $round(),
            };
        }

        $punches = mt_rand(0, 1) === 0 ? [] : ['punches' => [
            'circles' => [$mm(10, 14), $mm(20, 40)], 'circleReach' => $mm(15, 60), 'corners' => ['4 mm', '6 mm'], 'repeat' => $mm(8, 40), 'holeReach' => $mm(20, 60),
            'dies' => [['oval' => ['20 mm', '30 mm']]], 'plate' => [$mm(60, 120), $mm(60, 120)], 'tapes' => ['3 mm', '6 mm'],
        ]];

        return ['with' => $with, 'papers' => $papers] + ($punches === [] ? [] : ['tools' => $punches + (array) ($spec['tools'] ?? [])]) + $spec;
    }

    /**
     * The same with one thing in it that is wrong, or may be: a field that is not known, or one with something else in it.
     *
     * @param array<string, mixed> $spec
     * @return array<string, mixed>
     */
    public static function broken(array $spec): array
    {
        $values = ['x', '', 5, -1, 0.5, true, [], ['width' => '1 in'], ['1 in'], '0 mm', '-1 mm', '3 m', '4', '4 1/4 in', 'none', '#aabbcc', null, 100_000];
        $value = $values[mt_rand(0, count($values) - 1)];
        $path = [];

        for ($here = &$spec; is_array($here) && $here !== [] && ($path === [] || mt_rand(0, 4) > 0); $here = &$here[$key]) {
            $key = array_rand($here);
            $path[] = $key;
        }
        mt_rand(0, 4) === 0 && is_array($here) ? $here[['fold', 'size', 'id', 'border'][mt_rand(0, 3)]] = $value : $here = $value;

        assert(is_array($spec));

        /** @var array<string, mixed> */
        return $spec;
    }

    /**
     * @param callable(int, int): string $length
     * @return array<string, mixed>
     */
    private static function options(string $make, callable $length): array
    {
        $options = [];
        foreach (Makes::all()->find($make)?->options() ?? [] as $option) {
            if ($option->kind === Kind::Choice) {
                $options[$option->name] = $option->choices[mt_rand(0, count($option->choices) - 1)];
            } elseif (mt_rand(0, 3) === 0) {
                $options[$option->name] = $option->kind === Kind::Count ? mt_rand($option->least, min($option->most, $option->least + 8)) : $length(1, 3);
            }
        }

        return $options;
    }
}
