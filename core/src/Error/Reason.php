<?php

declare(strict_types=1);

namespace Gimbo\Core\Error;

/**
 * Why something was refused, as a code and the values that belong in its sentence.
 *
 * The core speaks no prose: whoever shows a reason looks its code up in a language file and
 * fills in the parameters. Text that came from outside is shortened and stripped of control
 * characters here, once.
 */
final readonly class Reason
{
    private const QUOTED_CHARACTERS = 40;

    /** @param array<string, string|int|Quantity|list<string>> $params */
    private function __construct(public string $code, public array $params)
    {
    }

    /** @param array<string, string|int|Quantity|list<string>> $params */
    public static function of(string $code, array $params = []): self
    {
        return new self($code, $params);
    }

    /** What somebody typed, safe to stand in a message: printable, at most 40 characters. */
    public static function quote(string $text): string
    {
        $clean = preg_replace('/[\p{C}\s]+/u', ' ', mb_scrub($text, 'UTF-8')) ?? '';

        return mb_strlen($clean) > self::QUOTED_CHARACTERS
            ? mb_substr($clean, 0, self::QUOTED_CHARACTERS).'…'
            : $clean;
    }
}
