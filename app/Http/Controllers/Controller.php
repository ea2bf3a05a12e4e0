<?php

namespace App\Http\Controllers;

use App\Books\JustBooked;
use App\Models\Booking;
use App\Models\BookingKind;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What all controllers share: the answer after a booking says what was done and offers to undo it. */
abstract class Controller
{
    /** A part of the page is asked for; a form that answers in place wants the whole. */
    protected function wantsPart(Request $request): bool
    {
        return $request->hasHeader('HX-Request') && ! $request->hasHeader('HX-Boosted');
    }

    /** A paper the browser shows; saved, it has that name. */
    protected function paperNamed(string $name, string $pdf): Response
    {
        return response($pdf, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"{$name}.pdf\"",
        ]);
    }

    protected function done(RedirectResponse $to, Booking $booking): RedirectResponse
    {
        return $to
            ->with('done', $booking->says)
            ->with('behind', app(JustBooked::class)->behind)
            ->with('booked', $booking->kind->isPlannedLater() ? $booking->id : null)
            ->with('undo', $booking->kind->isReversible() ? $booking->id : null)
            ->with(
                'undo_plan',
                $booking->kind->isOfPlan()
                    && $booking->kind !== BookingKind::PlanUndone
                    && $booking->kind !== BookingKind::WhatIf,
            );
    }
}
