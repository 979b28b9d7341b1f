// Reads an iCalendar on standard input with ical.js and prints its events.
import ICAL from 'ical.js';

let text = '';
for await (const chunk of process.stdin) text += chunk;
const calendar = new ICAL.Component(ICAL.parse(text));
console.log(
    JSON.stringify(
        calendar.getAllSubcomponents('vevent').map((component) => {
            const event = new ICAL.Event(component);
            return {
                uid: event.uid,
                summary: event.summary,
                start: event.startDate.toString(),
                end: event.endDate.toString(),
                allDay: event.startDate.isDate && event.endDate.isDate,
                sequence: event.sequence,
            };
        }),
    ),
);
