<?php

declare(strict_types=1);

namespace App\Words;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Settle\Placing;

/** What a piece is called: the make's own by their ids, what goes with it by what it is and where it belongs. */
final class PieceName
{
    public static function of(Words $words, Design $design, string $id): string
    {
        $added = $design->figures->outfit->piece($id);
        if ($added === null) {
            return self::made($words, $id);
        }
        if ($added->role === 'label') {
            $text = $added->addition->text('text');

            return $text === '' ? $words->sentence('added.label') : $words->sentence('added.label.text', ['text' => $text]);
        }
        $isSecond = isset($added->placings[0]) && $design->figures->outfit->piece($added->placings[0]->piece) !== null;
        $panels = array_values(array_unique(array_map(fn (Placing $placing) => self::panel($words, $design, $placing), $added->placings)));
        $key = 'added.'.($isSecond && $added->role === 'mat' ? 'second-mat' : $added->role);

        return $words->sentence($key, $panels === [] ? [] : ['panel' => $words->listed($panels)]);
    }

    /** The same within a sentence. */
    public static function inSentence(Words $words, Design $design, string $id): string
    {
        $name = self::of($words, $design, $id);

        return mb_strtolower(mb_substr($name, 0, 1)).mb_substr($name, 1);
    }

    /** A piece of a make by its name; one of several alike by its number too. */
    public static function made(Words $words, string $id): string
    {
        return $words->has("piece.$id") ? $words->sentence("piece.$id")
            : $words->sentence('piece.'.preg_replace('/-\d+$/', '', $id)).' '.preg_replace('/^.*-(\d+)$/', '$1', $id);
    }

    /** The panel at the bottom of what a thing lies on; of several pieces, with the piece. */
    private static function panel(Words $words, Design $design, Placing $placing): string
    {
        while (($under = $design->figures->outfit->piece($placing->piece)) !== null) {
            $placing = $under->placings[0];
        }
        $face = $words->sentence("face.$placing->face");
        $isOne = count($design->figures->outfit->patterns) === 1;

        return $isOne ? $face : $words->sentence('panel.of', ['panel' => $face, 'piece' => mb_strtolower(self::made($words, $placing->piece))]);
    }
}
