<?php

declare(strict_types=1);

namespace App\Cutting;

use RuntimeException;

/** Why a cutting machine did not do a job; the code has its sentence in the language file. */
final class CutterTrouble extends RuntimeException
{
    private function __construct(public readonly string $reason)
    {
        parent::__construct($reason);
    }

    /** Nothing listens at its address. */
    public static function notThere(): self
    {
        return new self('cutter.not-there');
    }

    /** It is there and does not answer. */
    public static function silent(): self
    {
        return new self('cutter.silent');
    }

    public static function busy(): self
    {
        return new self('cutter.busy');
    }

    public static function noPaper(): self
    {
        return new self('cutter.no-paper');
    }

    /** It says what no machine says that was asked how it is. */
    public static function babbles(): self
    {
        return new self('cutter.babbles');
    }

    /** It went away in the middle of the job. */
    public static function gone(): self
    {
        return new self('cutter.gone');
    }

    /** Gimbo itself was stopped before the job was begun. */
    public static function notBegun(): self
    {
        return new self('cutter.not-begun');
    }

    /** Gimbo itself was stopped in the middle of the job. */
    public static function interrupted(): self
    {
        return new self('cutter.interrupted');
    }
}
