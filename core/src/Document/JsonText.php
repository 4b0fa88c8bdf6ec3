<?php

declare(strict_types=1);

namespace Gimbo\Core\Document;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use JsonException;

/** JSON text (RFC 8259) read whole, within a limit of size and depth, or refused with the line where it stops making sense. */
final class JsonText
{
    private const DEEPEST = 16;

    private const TOKEN = '~\G(?:[\s,:\[\]{}]+|"(?:[^"\\\\\x00-\x1f]|\\\\["\\\\/bfnrt]|\\\\u[0-9a-fA-F]{4})*"|-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?(?![\w.])|true\b|false\b|null\b)~u';

    /**
     * @param int $most bytes
     *
     * @throws InvalidDocument
     */
    public static function decode(string $json, int $most): mixed
    {
        if (strlen($json) > $most) {
            throw InvalidDocument::at('', Reason::of('document.too-large', ['most' => intdiv($most, 1024)]));
        }
        try {
            return json_decode($json, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw InvalidDocument::at('', Reason::of('document.not-json', ['line' => self::lineOfError($json)]));
        }
    }

    /** PHP's parser does not say where it stopped: the line of the first token that is none, else the last line. */
    private static function lineOfError(string $json): int
    {
        $at = 0;
        while ($at < strlen($json) && preg_match(self::TOKEN, $json, $match, 0, $at) === 1) {
            $at += strlen($match[0]);
        }

        return substr_count(substr($json, 0, $at), "\n") + 1;
    }
}
